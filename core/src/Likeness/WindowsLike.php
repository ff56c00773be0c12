<?php

declare(strict_types=1);

namespace Linguator\Core\Likeness;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Rig\SwitchSetting;
use Linguator\Core\Rig\WindowSetting;

/** The windows of each function that is on a switch in both rigs, taken over as a whole: one of two alone would mean something else. */
final readonly class WindowsLike implements LikePart
{
    public function __construct(private RigDocument $here, private RigDocument $there)
    {
    }

    public function title(): string
    {
        return 'Windows in the controller';
    }

    public function lines(): array
    {
        return array_map(fn (SwitchSetting $switch): LikeLine => new LikeLine($switch->function, $switch->function, self::words($this->here, $switch->channel), self::words($this->there, $this->channelThere($switch))), $this->taken());
    }

    public function leftOut(): array
    {
        $left = [];
        foreach ($this->there->switches() as $switch) {
            if (self::windowsOn($this->there, $switch->channel) !== [] && $this->here->switchOf($switch->function) === null) {
                $isHere = $this->here->functions()?->channelOf($switch->function) !== null;
                $left[] = "$switch->function: ".($isHere ? 'on no switch of this rig. Take over its switch first.' : 'this craft has no such function.');
            }
        }

        return $left;
    }

    public function taking(array $keys): RigPatch
    {
        $windows = array_map(static fn (Node $node): \stdClass => $node->value, $this->here->settings()->nodes('windows'));
        foreach ($this->taken() as $switch) {
            if (in_array($switch->function, $keys, true)) {
                $windows = [
                    ...array_filter($windows, static fn (\stdClass $window): bool => $window->channel !== $switch->channel),
                    ...array_map(fn (WindowSetting $entry): \stdClass => self::written($entry, $switch->channel), self::windowsOn($this->there, $this->channelThere($switch))),
                ];
            }
        }

        return RigPatch::of(['settings.windows' => array_values($windows)]);
    }

    /** @return list<SwitchSetting> Of this rig. */
    private function taken(): array
    {
        return array_values(array_filter($this->here->switches(), function (SwitchSetting $switch): bool {
            $there = self::windowsOn($this->there, $this->channelThere($switch));

            return $there !== [] && self::words($this->here, $switch->channel) !== self::words($this->there, $this->channelThere($switch));
        }));
    }

    private function channelThere(SwitchSetting $switch): int
    {
        return $this->there->switchOf($switch->function)->channel ?? 0;
    }

    /** @return list<WindowSetting> */
    private static function windowsOn(RigDocument $rig, int $channel): array
    {
        return array_values(array_filter($rig->windows(), static fn (WindowSetting $entry): bool => $entry->channel === $channel));
    }

    private static function written(WindowSetting $entry, int $channel): \stdClass
    {
        $window = $entry->window;

        return (object) ['name' => $window->name, 'channel' => $channel, 'lo' => $window->lo, 'hi' => $window->hi, 'wanted' => $window->wanted];
    }

    private static function words(RigDocument $rig, int $channel): string
    {
        $words = array_map(
            static fn (WindowSetting $entry): string => sprintf('%s %g–%g µs in position %s', $entry->window->name, $entry->window->lo, $entry->window->hi, implode(', ', $entry->window->wanted)),
            self::windowsOn($rig, $channel),
        );

        return $words === [] ? 'none' : implode('; ', $words);
    }
}
