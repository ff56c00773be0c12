<?php

declare(strict_types=1);

namespace Linguator\Core\Supply;

use Linguator\Core\Document\Node;

/** A battery pack: cells of one chemistry in series. Voltages in V, free of the dust of binary fractions. */
final readonly class Pack
{
    /** The meter's zero lies this far below the alarm, per cell (V). */
    private const METER_BELOW_LOW = 0.2;

    /** @param  positive-int  $cells */
    public function __construct(public Chemistry $chemistry, public int $cells)
    {
    }

    public static function fromNode(Node $pack): self
    {
        return new self(Chemistry::from($pack->text('chemistry')), max(1, $pack->int('cells')));
    }

    /** Null: none is told. */
    public static function orNull(?Node $pack): ?self
    {
        return $pack === null ? null : self::fromNode($pack);
    }

    public function full(): float
    {
        return $this->times($this->chemistry->full());
    }

    public function nominal(): float
    {
        return $this->times($this->chemistry->nominal());
    }

    public function low(): float
    {
        return $this->times($this->chemistry->low());
    }

    public function meterFrom(): float
    {
        return $this->times($this->chemistry->low() - self::METER_BELOW_LOW);
    }

    public function supply(): Supply
    {
        return new Supply($this->low(), $this->full());
    }

    /** As documents have it. */
    public function document(): \stdClass
    {
        return (object) ['chemistry' => $this->chemistry->value, 'cells' => $this->cells];
    }

    public function label(): string
    {
        return "{$this->cells} {$this->chemistry->label()} cell".($this->cells === 1 ? '' : 's');
    }

    private function times(float $perCell): float
    {
        return round($this->cells * $perCell, 6);
    }
}
