<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

use Linguator\Core\Channel\Letter;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Gear\HandsetSwitch;
use Linguator\Core\Rig\RigDocument;

/** How the sticks, switches and knobs of a handset stand. */
final readonly class Controls
{
    /** As a handset lies on the bench: sticks centred, throttle down, every switch in its first position, every knob in its middle. */
    private const RESTING = ['A' => 0.0, 'E' => 0.0, 'T' => -100.0, 'R' => 0.0];

    /**
     * @param  array<string, float>  $sticks  % by letter.
     * @param  array<string, int>  $switches  Positions from 1, by id.
     * @param  array<string, float>  $knobs  % by id.
     */
    private function __construct(private array $sticks, private array $switches = [], private array $knobs = [])
    {
    }

    public static function resting(): self
    {
        return new self(self::RESTING);
    }

    /**
     * @param  Node  $told  With `sticks`, `switches` and `knobs`; what is missing rests.
     *
     * @throws DocumentError at a switch or knob that this rig's handset has not.
     */
    public static function fromNode(Node $told, RigDocument $rig): self
    {
        $sticks = self::RESTING;
        foreach (self::members($told, 'sticks') as $letter => $percent) {
            $sticks[$letter] = (float) $percent;
        }
        $switches = [];
        foreach (self::members($told, 'switches') as $id => $position) {
            $switches[$id] = self::checked("switches.$id", (int) $position, self::found("switches.$id", $rig, $id));
        }
        $knobs = [];
        foreach (self::members($told, 'knobs') as $id => $percent) {
            $knob = self::found("knobs.$id", $rig, $id);
            $knobs[$id] = $knob->isSlider() ? (float) $percent : throw DocumentError::at("knobs.$id", "Found a switch of $knob->positions positions; expected a knob or slider.", 'not_a_knob');
        }

        return new self($sticks, $switches, $knobs);
    }

    public function stick(Letter $letter): float
    {
        return $this->sticks[$letter->value];
    }

    /** From 1. */
    public function position(string $switch): int
    {
        return $this->switches[$switch] ?? 1;
    }

    public function knob(string $id): float
    {
        return $this->knobs[$id] ?? 0.0;
    }

    public function moved(Letter $letter, float $percent): self
    {
        return new self([$letter->value => $percent] + $this->sticks, $this->switches, $this->knobs);
    }

    public function switched(string $id, int $position): self
    {
        return new self($this->sticks, [$id => $position] + $this->switches, $this->knobs);
    }

    public function turned(string $id, float $percent): self
    {
        return new self($this->sticks, $this->switches, [$id => $percent] + $this->knobs);
    }

    /** What tells one from another. */
    public function key(): string
    {
        [$sticks, $switches, $knobs] = [$this->sticks, $this->switches, $this->knobs];
        ksort($sticks);
        ksort($switches);
        ksort($knobs);

        return json_encode([$sticks, $switches, $knobs], JSON_THROW_ON_ERROR);
    }

    /** @return array<string, int|float> */
    private static function members(Node $told, string $key): array
    {
        $members = [];
        foreach (get_object_vars($told->node($key)->value ?? new \stdClass) as $id => $value) {
            if (is_int($value) || is_float($value)) {
                $members[(string) $id] = $value;
            }
        }

        return $members;
    }

    private static function found(string $path, RigDocument $rig, string $id): HandsetSwitch
    {
        return $rig->handset()->switch($id) ?? throw DocumentError::at($path, "The handset has nothing called \"$id\"; ".self::has($rig), 'no_such_control');
    }

    private static function checked(string $path, int $position, HandsetSwitch $switch): int
    {
        return match (true) {
            $switch->isSlider() => throw DocumentError::at($path, 'Found a knob or slider; expected a switch.', 'not_a_switch'),
            $position > $switch->positions => throw DocumentError::at($path, "Found position $position; $switch->id has $switch->positions.", 'no_such_position'),
            default => $position,
        };
    }

    private static function has(RigDocument $rig): string
    {
        $ids = array_map(static fn (HandsetSwitch $switch): string => $switch->id, $rig->handset()->switches());

        return $ids === [] ? 'its card names no switch and no knob.' : 'expected one of '.implode(', ', $ids).'.';
    }
}
