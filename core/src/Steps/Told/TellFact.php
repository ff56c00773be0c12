<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Told;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;

/** Something is said of the rig that nobody can work out; null or nothing takes it back. */
final readonly class TellFact implements Intent
{
    public function __construct(private Fact $fact, private mixed $value)
    {
    }

    public static function read(Node $told): self
    {
        return new self(Fact::from($told->text('fact')), $told->get('value'));
    }

    /** @throws DocumentError at `value` if it is not of the kind that is asked for. */
    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $place = "settings.told.{$this->fact->value}";
        $value = $this->checked();
        if ($value === null) {
            return new Deed(RigPatch::of([], [$place]), $this->fact->label().': not said');
        }

        return new Deed(RigPatch::of([$place => $value]), $this->fact->label().': '.$this->fact->words($value));
    }

    private function checked(): string|float|bool|null
    {
        $value = is_string($this->value) ? trim($this->value) : $this->value;
        if ($value === null || $value === '') {
            return null;
        }

        return match ($this->fact->kind()) {
            FactKind::Number => $this->number($value),
            FactKind::YesNo => is_bool($value) ? $value : $this->refuse('yes or no'),
            FactKind::Choice => is_string($value) && in_array($value, $this->fact->choices(), true) ? $value : $this->refuse('one of '.implode(', ', $this->fact->choices())),
            FactKind::Text, FactKind::Paragraph => is_string($value) ? $value : $this->refuse('words'),
        };
    }

    private function number(mixed $value): float
    {
        $range = $this->fact->range();
        if ((is_int($value) || is_float($value)) && ($range === null || $range->holds((float) $value))) {
            return (float) $value;
        }

        return $this->refuse($range === null ? 'a number' : sprintf('a number from %g to %g %s', $range->lowest, $range->highest, $this->fact->unit() ?? ''));
    }

    private function refuse(string $expected): never
    {
        throw DocumentError::at('value', "{$this->fact->label()}: expected $expected.", 'no_such_value');
    }
}
