<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Failsafe;

use Linguator\Core\Failsafe\FailsafeHop;
use Linguator\Core\Failsafe\FailsafeMode;
use Linguator\Core\Failsafe\FailsafeReview;
use Linguator\Core\Failsafe\LossWay;
use Linguator\Core\Failsafe\Outcome;
use Linguator\Core\Failsafe\Recovery;
use Linguator\Core\Failsafe\SafeValue;
use Linguator\Core\Failsafe\SafeValues;
use Linguator\Core\Failsafe\SetBy;
use Linguator\Core\Failsafe\Shown;
use Linguator\Core\Finding\Code;
use Linguator\Core\Finding\Severity;
use Linguator\Core\Proof\Cut;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\StepKey;
use Linguator\Core\Steps\Leftover;
use Linguator\Core\Steps\Leftovers;
use Linguator\Core\Steps\Standing;

/** The failsafe step: what comes of each loss, with how it is set on this receiver, what to store, and how it is tested. */
final class FailsafeStep
{
    private const SAFETY = 'Propellers off, or wheels and hull clear of the ground or water. Nobody in the plane of a rotor.';

    public readonly FailsafeReview $losses;

    private ?FailsafeView $shown = null;

    public function __construct(private readonly RigDocument $rig)
    {
        $this->losses = new FailsafeReview($rig);
    }

    public function shown(): FailsafeView
    {
        return $this->shown ??= new FailsafeView($this->hops(), Recovery::sentence($this->rig));
    }

    /** @return list<LossHop> */
    public function hops(): array
    {
        return array_map($this->hop(...), $this->losses->hops);
    }

    /** @param  bool  $isBound  What was delivered with the receiver counts once it is bound. */
    public function standing(bool $isBound): Standing
    {
        $hops = $this->losses->hops;
        if (! $this->rig->chain()->joins() || $hops === []) {
            return Standing::open('What a lost link does is known once the chain joins.');
        }
        foreach ($this->inForce($isBound) as $hop) {
            $harm = $this->harm($hop);
            if ($harm !== null) {
                return Standing::stop(ucfirst($harm));
            }
        }
        foreach ($hops as $hop) {
            if (! $hop->isTested()) {
                return $this->untested($hop);
            }
        }

        return $this->leftovers()->standing() ?? Standing::done('Every lost link was tested.');
    }

    /** What must be mended beside what the checks of each hop hold against it. */
    public function leftovers(): Leftovers
    {
        $toMend = [];
        foreach ($this->rig->chain()->joins() ? $this->losses->hops : [] as $hop) {
            foreach ($hop->findings()->without(Code::F1, Code::F4) as $finding) {
                if ($finding->severity === Severity::Fix) {
                    $toMend[] = Leftover::toMend(StepKey::Failsafe, $finding->code, $finding->message);
                }
            }
        }

        return Leftovers::of($this->rig, ...$toMend);
    }

    /**
     * Hops whose failsafe says something by now: it was set, or the receiver is bound and does what it was delivered with.
     *
     * @return list<FailsafeHop>
     */
    public function inForce(bool $isBound): array
    {
        return $this->rig->chain()->joins() ? array_values(array_filter($this->losses->hops, static fn (FailsafeHop $hop): bool => $isBound || $hop->isSet())) : [];
    }

    private function untested(FailsafeHop $hop): Standing
    {
        $which = count($this->losses->hops) < 2 ? 'the failsafe' : ($hop->next === null ? "the last hop's failsafe" : "the first hop's failsafe");
        $cut = $hop->untestedCut() ?? Cut::Link;
        $where = $cut === Cut::Lead ? ' with the lead of '.$this->senderName($hop).' pulled' : '';
        $reasons = $hop->testReasons($cut);
        $why = $hop->lastTest($cut) === null ? 'never tested.' : ($reasons === [] ? 'the last test failed.' : implode(', ', $reasons).'.');
        $note = $hop->isSet() || $hop->ways() === [] ? "Test $which$where: $why" : "Set $which, then test it.";

        return $hop->isSet() ? Standing::attention($note) : Standing::open($note);
    }

    /** What is wrong with a hop besides that nobody tested it. */
    private function harm(FailsafeHop $hop): ?string
    {
        if ($hop->outcome()->least() === Severity::Stop) {
            return $hop->next !== null ? 'the first hop holds on loss.' : 'it holds the last commands on loss.';
        }
        $worst = $hop->findings()->without(Code::F6, Code::F7)->first(Severity::Stop);

        return $worst === null ? null : 'failsafe '.lcfirst($worst->message);
    }

    private function hop(FailsafeHop $hop): LossHop
    {
        return new LossHop(
            $hop->number,
            $hop->receiver()->name,
            $hop->mode(),
            $hop->mode()?->says() ?? 'not known',
            $hop->outcome(),
            $hop->outcome()->sentence(),
            $hop->severity(),
            $hop->because(),
            $hop->findings(),
            $this->losses->recommended($hop),
            $this->losses->why($hop),
            array_map(static fn (FailsafeMode $mode): ModeChoice => new ModeChoice($mode, $mode->says()), $hop->modes() ?? FailsafeMode::cases()),
            array_map(fn (SetBy $way): WayChoice => new WayChoice($way, $this->howToStore($hop, $way), $this->howToChoose($hop, $way)), $hop->ways() ?? SetBy::cases()),
            $hop->isSet(),
            $hop->setBy(),
            $hop->storedUs(),
            $hop->setAt(),
            $hop->setReasons(),
            $this->storedChannels($hop),
            $hop->isTested(),
            array_map(fn (Cut $cut): LossTest => $this->test($hop, $cut), $hop->cuts()),
            (new LossWay($this->rig, $this->losses))->of($hop),
        );
    }

    /** The exact way to store values in this receiver. */
    private function howToStore(FailsafeHop $hop, SetBy $way): string
    {
        $receiver = $hop->receiver()->name;
        $sticks = SafeValues::of($this->rig, $hop->number)->sentence();

        return match ($way) {
            SetBy::Handset => "In the failsafe menu of {$this->menuName($hop)}: $sticks.",
            SetBy::Button => "Hold the controls as they are to be on loss ($sticks), then press the button of $receiver until its light answers.",
            SetBy::Bind => "It is stored while binding: $sticks, and bind again.",
            SetBy::Module => "Hold the controls as they are to be on loss ($sticks), then press the failsafe button of {$this->senderName($hop)}.",
        };
    }

    /** How a mode is chosen that stores nothing: what the buttons mean then only the manual of the box tells. */
    private function howToChoose(FailsafeHop $hop, SetBy $way): string
    {
        return match ($way) {
            SetBy::Handset => "In the failsafe menu of {$this->menuName($hop)}: choose it; no values are stored.",
            SetBy::Button => "With the button of {$hop->receiver()->name}, as its manual says; no values are stored.",
            SetBy::Bind => 'It is chosen while binding, as the manual says: bind again; no values are stored.',
            SetBy::Module => "With the failsafe button of {$this->senderName($hop)}, as its manual says; no values are stored.",
        };
    }

    private function menuName(FailsafeHop $hop): string
    {
        return $hop->number === 1 ? $this->rig->boxes->all[0]->name() : $this->senderName($hop);
    }

    private function senderName(FailsafeHop $hop): string
    {
        $position = $this->rig->boxes->positionOf($hop->receiver()) ?? 0;

        return $this->rig->boxes->all[max(0, $position - 1)]->name();
    }

    /** @return list<StoredChannel> The channels that matter when values are stored, as this receiver puts them out. */
    private function storedChannels(FailsafeHop $hop): array
    {
        return array_map(static fn (SafeValue $value): StoredChannel => new StoredChannel($value->channel, $value->function, $value->us), SafeValues::of($this->rig, $hop->number)->all);
    }

    private function test(FailsafeHop $hop, Cut $cut): LossTest
    {
        $last = $hop->lastTest($cut);
        $expected = $hop->expected($cut);
        $harmful = $expected->isHarmful();

        return new LossTest(
            $cut,
            self::SAFETY,
            $this->whatToDo($hop, $cut),
            $expected === Outcome::Unknown ? $expected->sentence() : $hop->outcome()->sentence(),
            $last?->text('result'),
            $last?->textOrNull('observed'),
            $last?->textOrNull('at'),
            $last?->textOrNull('by'),
            $hop->testReasons($cut),
            $hop->testState($cut)->holds(),
            ! $harmful,
            $harmful ? ($hop->isDecidedByNext() ? 'Mend hop 2 first: it decides what is seen here.' : 'Mend it first.') : null,
            $expected === Outcome::Unknown ? array_map(static fn (Shown $one): ShownChoice => new ShownChoice($one, $one->says()), Shown::cases()) : [],
        );
    }

    private function whatToDo(FailsafeHop $hop, Cut $cut): string
    {
        $handset = $this->rig->boxes->all[0]->name();

        return match (true) {
            $cut === Cut::Lead => "Throttle up a little, leave $handset on, pull the lead of {$this->senderName($hop)}, watch the craft.",
            $hop->next !== null => "Throttle up a little, switch $handset off, watch the craft beyond the relay.",
            count($this->losses->hops) > 1 => "Throttle up a little, pull the power of {$this->senderName($hop)}, watch the craft.",
            default => "Throttle up a little, switch $handset off, watch the craft.",
        };
    }
}
