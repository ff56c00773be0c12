<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Chain\Joint;
use Linguator\Core\Chain\OrderReader;
use Linguator\Core\Channel\ChannelOrder;
use Linguator\Core\Channel\Letter;
use Linguator\Core\Channel\OrderFixes;
use Linguator\Core\Channel\OrderTrace;
use Linguator\Core\Channel\ReaderKind;
use Linguator\Core\Channel\Remap;
use Linguator\Core\Gear\Box;
use Linguator\Core\Gear\Controller;
use Linguator\Core\Gear\Module;
use Linguator\Core\Gear\ServoSet;
use Linguator\Core\Readiness\CheckKind;

/** The order of the four sticks through a rig as it is set now. */
final readonly class OrderReview
{
    /**
     * @param  list<array{module: Module, on: bool, sends: ChannelOrder|null}>  $modules  Those that can rearrange, with what they do now.
     * @param  string|null  $unjudged  Why nothing can be said, where that is so.
     */
    private function __construct(
        private RigDocument $rig,
        public ?OrderTrace $trace,
        public ?OrderReader $reader,
        public array $modules,
        public ?string $unjudged,
    ) {
    }

    public static function of(RigDocument $rig, ChainReview $chain): self
    {
        $joints = $chain->path?->joints;
        if ($joints === null) {
            return new self($rig, null, null, [], 'The order can be traced once the chain joins.');
        }
        $modules = [];
        foreach ($joints as $joint) {
            if ($joint->from instanceof Module && $joint->from->expects !== null) {
                $modules[] = [
                    'module' => $joint->from,
                    'on' => $rig->remapIsOn($joint->from->id, $joint->from->remapOn),
                    'sends' => $joint->from->remapFor($joint->sent)?->sends,
                ];
            }
        }
        $handset = $rig->handsetOrder();
        $reader = OrderReader::of($joints, $rig->controllerOrder()) ?? self::barePins($joints, $handset, $modules);
        $unjudged = match (true) {
            $handset === null => "The channel order of {$rig->boxes[0]->name()} is not known. Enter it on its card.",
            $reader === null => 'Nothing here says which channel is which: no controller with a known order, no labels A, E, T, R on pins 1 to 4.',
            default => self::unknownModule($modules),
        };
        $trace = $unjudged !== null || $handset === null || $reader === null ? null : self::trace($handset, $reader->order, $modules);

        return new self($rig, $trace, $reader, $modules, $unjudged);
    }

    /** Whether each stick ends up where it should, by the settings or by the plugs. */
    public function isRight(): bool
    {
        return $this->trace !== null && ($this->trace->isCorrect() || $this->isMendedByPlugs());
    }

    public function isMendedByPlugs(): bool
    {
        return $this->trace !== null && $this->reader?->byPwm === true && $this->rig->plugsByArrival();
    }

    /** The channel, pin or plug on which a function arrives at the reader; null if that is not known. */
    public function channelOf(string $function): ?int
    {
        foreach (Letter::cases() as $letter) {
            if ($letter->functionName() === $function && $this->trace !== null) {
                return $this->trace->arriving()->channelOf($letter);
            }
        }
        foreach ($this->rig->functions() ?? [] as $entry) {
            if ($entry['function'] === $function) {
                return $entry['channel'];
            }
        }

        return null;
    }

    public function proof(): CheckState
    {
        return CheckState::of($this->rig, 'order');
    }

    /** The settings an order check is made with. */
    public function settingsNow(): \stdClass
    {
        return $this->rig->dependent()->record(CheckKind::Order->dependsOn());
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'unjudged' => $this->unjudged,
            'correct' => $this->trace?->isCorrect(),
            'right' => $this->isRight(),
            'by_plugs' => $this->isMendedByPlugs(),
            'handset' => ['name' => $this->rig->handset()?->name, 'order' => $this->rig->handsetOrder()?->toString()],
            'reader' => $this->reader === null ? null : [
                'kind' => $this->reader->controller === null ? ReaderKind::Pins->value : ReaderKind::Controller->value,
                'name' => $this->reader->controller->name ?? $this->reader->joint->from->name(),
                'order' => $this->reader->order->toString(),
                'one_wire_each' => $this->reader->byPwm,
                'unlabelled' => $this->reader->isUnlabelled,
            ],
            'modules' => array_map(static fn (array $entry): array => [
                'id' => $entry['module']->id,
                'name' => $entry['module']->name,
                'on' => $entry['on'],
                'expects' => $entry['module']->expects?->toString(),
                'sends' => $entry['sends']?->toString(),
            ], $this->modules),
            'trace' => $this->trace?->toArray(),
            'fixes' => $this->fixes(),
            'plugs' => $this->trace === null || $this->reader?->byPwm !== true ? null : OrderFixes::plugTable($this->trace),
            'auxiliaries' => $this->auxiliaries(),
            'proof' => $this->proof()->toArray(),
        ];
    }

    /**
     * Every fix this gear allows, cheapest first, each with the change to the rig that records it.
     *
     * @return list<array<string, mixed>>
     */
    private function fixes(): array
    {
        if ($this->trace === null || $this->reader === null || $this->trace->isCorrect()) {
            return [];
        }
        $fixes = [];
        foreach (OrderFixes::for($this->trace, $this->reader->byPwm ? ReaderKind::Pins : ReaderKind::Controller) as $fix) {
            if ($fix['at'] !== 'controller' || $this->reader->controller?->orderSettable === true) {
                $fixes[] = $this->withPatch($fix);
            }
        }
        if ($this->reader->byPwm && $this->reader->controller?->orderSettable === true) {
            $controller = array_filter(OrderFixes::for($this->trace, ReaderKind::Controller), static fn (array $fix): bool => $fix['at'] === 'controller');
            array_splice($fixes, 1, 0, array_map($this->withPatch(...), array_values($controller)));
        }

        return [...$fixes, ...$this->moduleFixes()];
    }

    /** @return list<array<string, mixed>> */
    private function moduleFixes(): array
    {
        $fixes = [];
        foreach ($this->modules as $k => $entry) {
            $switched = array_values(array_replace($this->modules, [$k => ['on' => ! $entry['on']] + $entry]));
            $possible = $this->trace !== null && $entry['module']->remapSwitchable && self::unknownModule($switched) === null;
            if ($possible && self::trace($this->trace->handset, $this->trace->reader, $switched)->isCorrect()) {
                $on = $switched[$k]['on'];
                $fixes[] = [
                    'at' => 'module',
                    'remap' => $on,
                    'title' => "Turn remapping in {$entry['module']->name} ".($on ? 'on' : 'off'),
                    'touches' => "Every model that uses {$entry['module']->name}.",
                    'change' => $on ? 'The module then puts the channels where this family wants them.' : 'What the handset sends is then what goes out.',
                    'set' => (object) ["settings.remap.{$entry['module']->id}" => $on],
                ];
            }
        }

        return $fixes;
    }

    /**
     * @param  array<string, mixed>  $fix
     * @return array<string, mixed>
     */
    private function withPatch(array $fix): array
    {
        $order = is_string($fix['order'] ?? null) ? $fix['order'] : '';
        $names = new SettingNames($this->rig);
        $at = static fn (?Box $box): string => $box === null ? '' : "{$box->name()}: set {$names->name($box->id(), 'order')} to {$names->value('order', $order)}";
        [$title, $set] = match ($fix['at']) {
            'plugs' => ['Move the plugs', ['settings.plugs' => 'arrival']],
            'controller' => [$at($this->reader?->controller), ['settings.controller_order' => $order]],
            default => [$at($this->rig->handset()), ['settings.order' => $order]],
        };

        return $fix + ['title' => $title, 'set' => (object) $set];
    }

    /**
     * Functions beyond the four sticks go straight through; the controller counts them from channel 5 on.
     *
     * @return list<array{function: string, channel: int, auxiliary: int}>
     */
    private function auxiliaries(): array
    {
        $auxiliaries = [];
        foreach ($this->rig->functions() ?? [] as $entry) {
            if ($entry['channel'] > 4) {
                $auxiliaries[] = ['function' => $entry['function'], 'channel' => $entry['channel'], 'auxiliary' => $entry['channel'] - 4];
            }
        }

        return $auxiliaries;
    }

    /**
     * Unlabelled pins into bare servos: each plug goes where its function arrives, so nothing can be wrong but the plugs.
     *
     * @param  non-empty-list<Joint>  $joints
     * @param  list<array{module: Module, on: bool, sends: ChannelOrder|null}>  $modules
     */
    private static function barePins(array $joints, ?ChannelOrder $handset, array $modules): ?OrderReader
    {
        $last = $joints[count($joints) - 1];
        if ($handset === null || ! $last->isPwm() || ! $last->to instanceof ServoSet || $last->from instanceof Controller || self::unknownModule($modules) !== null) {
            return null;
        }

        return OrderReader::unlabelled(self::trace($handset, $handset, $modules)->arriving(), $last);
    }

    /** @param  list<array{module: Module, on: bool, sends: ChannelOrder|null}>  $modules */
    private static function unknownModule(array $modules): ?string
    {
        foreach ($modules as $entry) {
            if ($entry['on'] && $entry['sends'] === null) {
                return "It is not known in which order {$entry['module']->name} sends this family. Enter it on its card, or move the sticks and watch.";
            }
        }

        return null;
    }

    /** @param  list<array{module: Module, on: bool, sends: ChannelOrder|null}>  $modules */
    private static function trace(ChannelOrder $handset, ChannelOrder $reader, array $modules): OrderTrace
    {
        $remaps = [];
        foreach ($modules as $entry) {
            if ($entry['on'] && $entry['sends'] !== null && $entry['module']->expects !== null) {
                $remaps[] = new Remap($entry['module']->expects, $entry['sends']);
            }
        }

        return new OrderTrace($handset, $reader, $remaps);
    }
}
