<?php

declare(strict_types=1);

namespace Linguator\Core\Steps\Switches;

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Excerpt;
use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\Intent;
use Linguator\Core\Rig\Items;
use Linguator\Core\Rig\Occasion;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\SwitchSetting;

/** The controller has a window on the channel of a function. It begins round the last position of its switch that no other window has. */
final readonly class AddWindow implements Intent
{
    /** Room below and above the level (µs). */
    private const BELOW_US = 200.0;

    private const ABOVE_US = 100.0;

    /** A window does not reach beyond what a channel can send (µs). */
    private const HIGHEST_US = 2150.0;

    /** @param  string  $name  Empty: the function's. */
    public function __construct(private string $function, private string $name = '')
    {
    }

    public static function read(Node $told): self
    {
        return new self($told->text('function'), trim($told->textOrNull('name') ?? ''));
    }

    public function on(RigDocument $rig, Occasion $occasion): Deed
    {
        $switch = $rig->switchOf($this->function) ?? throw DocumentError::at('function', 'The function '.Excerpt::of($this->function).' is on no switch of this rig.', 'no_such_function');
        $levels = $switch->levels();
        $position = self::freePosition($rig, $switch);
        $us = $levels->us($position);
        $name = $this->name === '' ? $this->function : $this->name;
        $windows = Items::of($rig, 'settings.windows')->with([
            'name' => $name, 'channel' => $switch->channel, 'lo' => round($us - self::BELOW_US), 'hi' => min(self::HIGHEST_US, round($us + self::ABOVE_US)), 'wanted' => [$position],
        ]);

        return new Deed($windows->patch(), "Window $name on channel $switch->channel");
    }

    /** The last position that no other window of this channel wants; the last one where all are taken. */
    private static function freePosition(RigDocument $rig, SwitchSetting $switch): int
    {
        $taken = [];
        foreach ($rig->windows() as $window) {
            if ($window->channel === $switch->channel) {
                array_push($taken, ...$window->window->wanted);
            }
        }
        $free = array_diff(range(1, $switch->levels()->count()), $taken);

        return $free === [] ? $switch->levels()->count() : max($free);
    }
}
