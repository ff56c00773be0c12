<?php

declare(strict_types=1);

namespace Linguator\Core\Dance;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;

/** One move of the script: hands off, a stick to both its ends, a switch through its positions, a knob to both ends and its middle. */
final readonly class Move implements \JsonSerializable
{
    /**
     * @param  Letter|null  $letter  Of a stick.
     * @param  string|null  $id  Of a switch or knob.
     * @param  int  $positions  Of a switch; else 0.
     */
    private function __construct(public MoveKind $kind, public ?Letter $letter = null, public ?string $id = null, public int $positions = 0)
    {
    }

    public static function rest(): self
    {
        return new self(MoveKind::Rest);
    }

    public static function stick(Letter $letter): self
    {
        return new self(MoveKind::Stick, $letter);
    }

    public static function switch(string $id, int $positions): self
    {
        return new self(MoveKind::Switch, null, $id, $positions);
    }

    public static function knob(string $id): self
    {
        return new self(MoveKind::Knob, null, $id);
    }

    /**
     * @return list<self>
     *
     * @throws DocumentError if a letter or an id is asked for twice.
     */
    public static function script(Node $told): array
    {
        [$moves, $seen] = [[], []];
        foreach ($told->nodes('script') as $k => $node) {
            $kind = MoveKind::from($node->text('move'));
            self::mustFit($kind, $node, $k);
            $moves[] = match ($kind) {
                MoveKind::Rest => self::rest(),
                MoveKind::Stick => self::stick(Letter::from($node->text('letter'))),
                MoveKind::Switch => self::switch($node->text('id'), $node->int('positions')),
                MoveKind::Knob => self::knob($node->text('id')),
            };
            $name = $moves[$k]->letter->value ?? $moves[$k]->id;
            if ($name !== null && isset($seen[$kind === MoveKind::Stick ? 'stick' : 'id'][$name])) {
                throw DocumentError::at("script.$k.".($kind === MoveKind::Stick ? 'letter' : 'id'), "Found $name twice; expected each control once.", 'twice');
            }
            $seen[$kind === MoveKind::Stick ? 'stick' : 'id'][$name ?? ''] = true;
        }

        return $moves;
    }

    /** @throws DocumentError if it says too little, or what belongs to another kind of move. */
    private static function mustFit(MoveKind $kind, Node $node, int $k): void
    {
        foreach (['letter' => [MoveKind::Stick], 'id' => [MoveKind::Switch, MoveKind::Knob], 'positions' => [MoveKind::Switch]] as $key => $kinds) {
            if ($node->has($key) !== in_array($kind, $kinds, true)) {
                throw DocumentError::at("script.$k.$key", "A move of kind $kind->value ".($node->has($key) ? "has no $key." : "needs its $key."), $node->has($key) ? 'unknown_key' : 'missing_key');
            }
        }
    }

    public function isThrottle(): bool
    {
        return $this->letter === Letter::Throttle;
    }

    /** Whether somebody who made it leaves a way of this shape. */
    public function fits(Way $way): bool
    {
        return match ($this->kind) {
            MoveKind::Rest => false,
            MoveKind::Stick => $this->isThrottle() ? $way->isOneSided() : $way->isSprung(),
            MoveKind::Switch => $way->isStepped($this->positions),
            MoveKind::Knob => $way->isKnob(),
        };
    }

    /** As the verb `dance` takes it. */
    public function jsonSerialize(): \stdClass
    {
        return (object) (['move' => $this->kind->value] + match ($this->kind) {
            MoveKind::Rest => [],
            MoveKind::Stick => ['letter' => $this->letter?->value],
            MoveKind::Switch => ['id' => $this->id, 'positions' => $this->positions],
            MoveKind::Knob => ['id' => $this->id],
        });
    }

    /** A control without its own way home is let go where it stands: what looks like several ways is one. */
    public function joins(): bool
    {
        return $this->kind === MoveKind::Knob;
    }
}
