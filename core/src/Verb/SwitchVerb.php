<?php

declare(strict_types=1);

namespace Linguator\Core\Verb;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Node;
use Linguator\Core\Quantity\Scale;
use Linguator\Core\Switching\SwitchLevels;
use Linguator\Core\Switching\Window;
use Linguator\Core\Switching\WindowCheck;

/** Does each position of a switch land in the window it should, and in no other? */
final class SwitchVerb implements Verb
{
    public static function name(): string
    {
        return 'switch';
    }

    public static function summary(): string
    {
        return 'Computes what each switch position sends and holds it against the windows of a controller.';
    }

    public function __invoke(\stdClass $input): object
    {
        $node = new Node($input);
        [$scale, $switch] = [$node->node('scale'), $node->node('switch')];
        assert($scale !== null && $switch !== null);
        $levels = self::levels($scale, $switch);
        $powerUp = $node->intOrNull('power_up_position');
        self::mustExist($powerUp, $levels, 'power_up_position');
        $windows = [];
        foreach ($node->nodes('windows') as $k => $entry) {
            $check = new WindowCheck($levels, self::window($entry, $k, $levels), $powerUp, $node->numberOrNull('failsafe_us'), $switch->flag('spring'));
            $windows[] = $check->verdict();
        }

        return (object) ['levels' => $levels->levels, 'windows' => $windows];
    }

    private static function levels(Node $scale, Node $switch): SwitchLevels
    {
        $positions = max(2, $switch->int('positions'));
        $curve = $switch->numbersOrNull('curve');
        if ($curve !== null && count($curve) !== $positions) {
            throw DocumentError::at('switch.curve', 'Found '.count($curve)." values; expected one for each of the $positions positions.", 'wrong_length');
        }

        return SwitchLevels::of(
            new Scale($scale->number('centre'), $scale->number('us_per_100')),
            $scale->number('max_pct'),
            $positions,
            $switch->number('weight', 100.0),
            $switch->number('offset', 0.0),
            $curve,
        );
    }

    private static function window(Node $entry, int $k, SwitchLevels $levels): Window
    {
        $wanted = [];
        foreach ($entry->numbersOrNull('wanted') ?? [] as $w => $position) {
            self::mustExist((int) $position, $levels, "windows.$k.wanted.$w");
            $wanted[] = (int) $position;
        }
        [$lo, $hi] = [$entry->number('lo'), $entry->number('hi')];
        if ($hi <= $lo) {
            throw DocumentError::at("windows.$k.hi", "Found an upper edge of $hi µs and a lower edge of $lo µs; expected the upper above the lower.", 'upside_down');
        }

        return new Window($entry->text('name'), $lo, $hi, $wanted);
    }

    private static function mustExist(?int $position, SwitchLevels $levels, string $path): void
    {
        if ($position !== null && $position > $levels->count()) {
            throw DocumentError::at($path, "Found position $position; this switch has {$levels->count()}.", 'no_such_position');
        }
    }
}
