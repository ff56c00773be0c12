<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Order;

use Linguator\Core\Chain\ChannelTaker;
use Linguator\Core\Chain\Joint;
use Linguator\Core\Chain\Rearranging;
use Linguator\Core\Chain\Trace;
use Linguator\Core\Channel\FixPlace;
use Linguator\Core\Channel\FunctionChannel;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Channel\OrderFix;
use Linguator\Core\Channel\OrderFixes;
use Linguator\Core\Channel\OrderTrace;
use Linguator\Core\Channel\StickWay;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\ServoSet;
use Linguator\Core\Proof\CheckKind;
use Linguator\Core\Proof\CheckState;
use Linguator\Core\Proof\ProofState;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SettingNames;
use Linguator\Core\Rig\StepKey;
use Linguator\Core\Steps\Leftover;
use Linguator\Core\Steps\Leftovers;
use Linguator\Core\Steps\Standing;

/** The order of the four sticks through a rig as it is set now. */
final readonly class OrderReview
{
    public ?ChannelTaker $taker;

    /** Why nothing can be said, where that is so. */
    public ?string $unjudged;

    /** Null where nothing can be said. */
    public ?OrderTrace $trace;

    private Trace $whole;

    public function __construct(public RigDocument $rig)
    {
        $trace = $rig->chain()->trace();
        $this->taker = $rig->chain()->joins() ? $rig->chain()->taker() ?? self::barePins($rig, $trace) : null;
        $this->whole = $trace->readBy($this->taker?->order);
        $this->unjudged = $this->whyUnjudged();
        $this->trace = $this->unjudged === null ? $this->whole->sticks() : null;
    }

    /** @return list<Rearranging> Modules that can rearrange, with what they do now. */
    public function modules(): array
    {
        return $this->rig->chain()->joins() ? $this->whole->modules : [];
    }

    /** Whether each stick ends up where it should, by the settings or by the plugs. */
    public function isRight(): bool
    {
        return $this->trace !== null && ($this->trace->isCorrect() || $this->isMendedByPlugs());
    }

    public function isMendedByPlugs(): bool
    {
        return $this->trace !== null && $this->taker?->byPwm === true && $this->rig->plugsByArrival();
    }

    /** The channel, pin or plug on which a function arrives at the reader; null if that is not known. */
    public function channelOf(string $function): ?int
    {
        $letter = Letter::ofFunction($function);

        return $letter !== null && $this->trace !== null ? $this->trace->arriving()->channelOf($letter) : $this->rig->functions()?->channelOf($function);
    }

    public function proof(): CheckState
    {
        return CheckState::of($this->rig, CheckKind::Order);
    }

    public function standing(): Standing
    {
        $proof = $this->proof();

        return match (true) {
            $this->unjudged !== null => Standing::open($this->unjudged),
            ! $this->isRight() => Standing::attention($this->wrongStick()),
            ! $this->leftovers()->open()->isEmpty() => Standing::attention($this->leftovers()->open()->all[0]->sentence),
            $proof->holds() => Standing::done('Each stick moves what it should.'),
            $proof->state === ProofState::Stale => Standing::attention('Check the order again: '.implode(', ', $proof->reasons).'.'),
            $proof->state === ProofState::Failed => Standing::attention('The last order check failed.'),
            default => Standing::open('The order is right by the settings. Move each stick once to prove it.'),
        };
    }

    /** Sticks told on one channel and sent on another. */
    public function leftovers(): Leftovers
    {
        $against = $this->against();
        if ($against === []) {
            return Leftovers::of($this->rig);
        }
        $parts = array_map(fn (FunctionChannel $entry): string => sprintf('%s is told on channel %d and leaves the handset on %d', $entry->function, $entry->channel, $this->rig->handsetOrder()?->channelOf(Letter::ofFunction($entry->function) ?? Letter::Throttle) ?? 0), $against);

        return Leftovers::of($this->rig, Leftover::attention(StepKey::Order, 'functions', ucfirst(implode('; ', $parts)).'.'));
    }

    /** @return list<FunctionChannel> */
    private function against(): array
    {
        [$functions, $order] = [$this->rig->functions(), $this->rig->handsetOrder()];

        return $functions === null || $order === null || ! $this->rig->chain()->joins() ? [] : $functions->against($order);
    }

    public function shown(): OrderView
    {
        return new OrderView(
            $this->unjudged,
            $this->trace?->isCorrect(),
            $this->isRight(),
            $this->isMendedByPlugs(),
            new OrderEnd($this->rig->boxes->handset()?->name, $this->rig->handsetOrder()?->toString()),
            $this->taker === null ? null : OrderTaker::of($this->taker),
            array_map(OrderModule::of(...), $this->modules()),
            $this->trace?->sticks(),
            $this->fixes(),
            $this->trace === null || $this->taker?->byPwm !== true ? null : OrderFixes::plugTable($this->trace),
            array_map(static fn (FunctionChannel $entry): Auxiliary => new Auxiliary($entry->function, $entry->channel, $entry->auxiliary()), $this->rig->functions()?->auxiliaries()->all ?? []),
            $this->proof(),
            $this->leftovers()->all[0]->sentence ?? null,
            $this->against() === [] ? null : $this->rig->functions()?->stickOrder()?->toString(),
        );
    }

    /** @return list<OfferedFix> Every fix this gear allows, cheapest first. */
    public function fixes(): array
    {
        if ($this->trace === null || $this->taker === null || $this->trace->isCorrect()) {
            return [];
        }
        $isSettable = $this->taker->controller?->orderSettable === true;
        $fixes = [
            $this->taker->byPwm ? OrderFixes::plugs($this->trace) : null,
            $isSettable ? OrderFixes::controller($this->trace) : null,
            $this->rig->boxes->handset()?->orderFixed === true ? null : OrderFixes::handset($this->trace),
        ];

        return [...array_map($this->offered(...), array_values(array_filter($fixes))), ...$this->moduleFixes()];
    }

    /** @return list<OfferedFix> */
    private function moduleFixes(): array
    {
        $fixes = [];
        foreach ($this->modules() as $entry) {
            $switched = $this->whole->switched($entry);
            if ($entry->module->remapSwitchable && $switched->unknown() === null && $switched->sticks()?->isCorrect() === true) {
                $on = ! $entry->isOn;
                $fix = new OrderFix(FixPlace::Module, "Every model that uses {$entry->module->name}.", $on ? 'The module then puts the channels where this family wants them.' : 'What the handset sends is then what goes out.', remap: $on);
                $fixes[] = new OfferedFix($fix, "Turn remapping in {$entry->module->name} ".($on ? 'on' : 'off'), $entry->module->id);
            }
        }

        return $fixes;
    }

    private function offered(OrderFix $fix): OfferedFix
    {
        return new OfferedFix($fix, match ($fix->at) {
            FixPlace::Controller => $this->titleAt($this->taker?->controller, $fix),
            FixPlace::Handset => $this->titleAt($this->rig->boxes->handset(), $fix),
            default => 'Move the plugs',
        });
    }

    private function titleAt(?Box $box, OrderFix $fix): string
    {
        $names = new SettingNames($this->rig);

        return $box === null ? '' : "{$box->name()}: set {$names->name($box->id(), 'order')} to {$names->value('order', $fix->order?->toString() ?? '')}";
    }

    private function whyUnjudged(): ?string
    {
        $unknown = $this->whole->unknown();

        return match (true) {
            ! $this->rig->chain()->joins() => 'The order can be traced once the chain joins.',
            $this->rig->handsetOrder() === null => 'The channel order of '.($this->rig->boxes->handset()->name ?? 'the handset').' is not known. Enter it on its card.',
            $this->taker === null => 'Nothing here says which channel is which: no controller with a known order, no labels A, E, T, R on pins 1 to 4.',
            $unknown !== null => "It is not known in which order $unknown->name sends this family. Enter it on its card, or move the sticks and watch.",
            default => null,
        };
    }

    private function wrongStick(): string
    {
        $wrong = array_values(array_filter($this->trace?->sticks() ?? [], static fn (StickWay $stick): bool => $stick->letter !== $stick->readAs));
        $throttle = array_values(array_filter($wrong, static fn (StickWay $stick): bool => $stick->letter === Letter::Throttle));
        $first = $throttle[0] ?? $wrong[0] ?? null;

        return $first === null ? 'The order differs.' : "The {$first->letter->functionName()} stick would move {$first->readAs->functionName()}.";
    }

    /** Unlabelled pins into bare servos: each plug goes where its function arrives, so nothing can be wrong but the plugs. */
    private static function barePins(RigDocument $rig, Trace $trace): ?ChannelTaker
    {
        $joints = $rig->chain()->joints();
        $last = $joints[count($joints) - 1] ?? null;
        $arriving = $trace->readBy($rig->handsetOrder())->sticks()?->arriving();
        $isBare = $last instanceof Joint && $last->isPwm() && $last->to instanceof ServoSet && ! $last->from instanceof Controller;

        return $isBare && $arriving !== null ? ChannelTaker::unlabelled($arriving, $last) : null;
    }
}
