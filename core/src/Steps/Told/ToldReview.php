<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Told;

use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\StepKey;
use Linguator\Core\Steps\Leftover;
use Linguator\Core\Steps\Leftovers;

/** What is said of a rig beside what can be worked out. */
final readonly class ToldReview
{
    public function __construct(private RigDocument $rig)
    {
    }

    /** @return list<Fact> Those that can matter here, and those told already. */
    public function asked(): array
    {
        return array_values(array_filter(Fact::cases(), fn (Fact $fact): bool => $fact->isAsked($this->rig) || $fact->of($this->rig) !== null));
    }

    /** @return list<FactView> */
    public function shown(): array
    {
        return array_map(fn (Fact $fact): FactView => new FactView(
            $fact,
            $fact->group(),
            $fact->kind(),
            $fact->label(),
            $fact->hint(),
            $fact->unit(),
            $fact->choices(),
            $fact->range(),
            $fact->of($this->rig),
            $this->follows($fact),
        ), $this->asked());
    }

    /** A rate slowed down for the set-up must not fly. */
    public function leftovers(): Leftovers
    {
        $rate = Fact::SetUpRate->of($this->rig);
        $isBack = Fact::SetUpRateBack->of($this->rig) === true;

        return Leftovers::of($this->rig, ...($rate === null || $isBack ? [] : [
            Leftover::open(StepKey::Path, 'set_up_rate', "The rate set for the set-up ({$rate}) is not put back.", FactGroup::Handset->value),
        ]));
    }

    /** What follows from something that was said, in words; null: nothing. */
    public function follows(Fact $fact): ?string
    {
        $volts = $fact === Fact::CellAlarm ? $this->packAlarmV() : null;

        return $volts === null ? null : sprintf('%g V for the pack', $volts);
    }

    /** The alarm of the whole pack, where its cells are told (V); null: it cannot be said. */
    public function packAlarmV(): ?float
    {
        $perCell = Fact::CellAlarm->of($this->rig);
        $pack = $this->rig->craftPack();

        return is_float($perCell) && $pack !== null ? round($perCell * $pack->cells, 2) : null;
    }
}
