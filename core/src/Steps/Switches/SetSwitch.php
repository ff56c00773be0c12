<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\ChannelRecord;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Items;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Rig\SwitchSetting;

/** Something about the switch of a function is set: which one it is, its levels, or where it stands at power-up. */
final readonly class SetSwitch implements Intent
{
    private const LEAST_LEVELS = 2;

    /** What decides on its levels. */
    private const SHAPES = ['switch' => true, 'weight' => true, 'offset' => true, 'curve' => true];

    /** @param  Node  $told  `function`, and what is set of it; null takes it back. */
    public function __construct(private string $function, private Node $told)
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('function'), $told);
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $before = $rig->switchOf($this->function);
        if ($before === null) {
            throw DocumentError::at('function', 'The function '.Excerpt::of($this->function).' is on no switch of this rig.', 'no_such_function');
        }
        [$values, $words] = [[], []];
        foreach (get_object_vars($this->told->value) as $key => $value) {
            $key = (string) $key;
            if ($key !== 'function') {
                $values[$key] = $value;
                $words[] = $this->words($key, $before);
            }
        }
        // What was read counts for what was set then.
        $values += array_intersect_key($values, self::SHAPES) === [] ? [] : ['levels_us' => null];
        $switches = Items::of($rig, 'settings.switches')->changed(fn (Node $item): bool => $item->text('function') === $this->function, $values);

        return new Deed(RigPatch::of($switches->set() + $this->windows($rig, $before, $values)), implode('; ', $words));
    }

    /**
     * Windows want what they wanted: the last position of two is the last one of three, not the middle.
     *
     * @param  array<string, mixed>  $values  What is set of the switch.
     * @return array<string, mixed> By place.
     */
    private function windows(RigDocument $rig, SwitchSetting $before, array $values): array
    {
        $entry = (object) array_filter([...get_object_vars($before->node()->value), ...$values], static fn (mixed $value): bool => $value !== null);
        $after = new SwitchSetting(new Node($entry), $before->position, $rig->handset(), new ChannelRecord($rig, $before->channel));
        [$was, $is] = [$before->levels()->count(), $after->levels()->count()];
        if ($was === $is) {
            return [];
        }
        $windows = array_map(static function (Node $window) use ($before, $was, $is): \stdClass {
            $kept = clone $window->value;
            if ($window->int('channel') === $before->channel) {
                $kept->wanted = array_values(array_unique(array_map(static fn (float $position): int => (int) round(1 + ($position - 1) * ($is - 1) / ($was - 1)), $window->numbersOrNull('wanted') ?? [])));
            }

            return $kept;
        }, $rig->settings()->nodes('windows'));

        return $windows === [] ? [] : ['settings.windows' => $windows];
    }

    private function words(string $key, SwitchSetting $before): string
    {
        return match ($key) {
            'switch' => "$this->function on switch ".($this->told->textOrNull('switch') ?? 'not said'),
            'weight', 'offset' => sprintf('%s: %s %g %%', $this->function, $key, $this->told->number($key)),
            'levels_us' => "$this->function: ".$this->readLevels($before),
            'power_up' => "$this->function: position {$this->told->int('power_up')} at power-up",
            default => "$this->function: levels ".$this->levels(),
        };
    }

    private function readLevels(SwitchSetting $before): string
    {
        $levels = $this->told->numbersOrNull('levels_us');
        $positions = $before->switch?->positions;
        if ($levels !== null && $positions !== null && count($levels) !== $positions) {
            throw DocumentError::at('levels_us', sprintf('Found %d levels; expected %d, one for each position of %s.', count($levels), $positions, $before->switchId), 'wrong_count');
        }

        return $levels === null ? 'levels as computed' : 'levels read '.implode(' / ', array_map(static fn (float $us): string => sprintf('%g', $us), $levels)).' µs';
    }

    private function levels(): string
    {
        $curve = $this->told->numbersOrNull('curve');
        if ($curve !== null && count($curve) < self::LEAST_LEVELS) {
            throw DocumentError::at('curve', 'Found one level; expected one for each position, at least two.', 'too_few');
        }

        return $curve === null ? 'evenly spread' : implode(', ', array_map(static fn (float $pct): string => sprintf('%g', $pct), $curve)).' %';
    }
}
