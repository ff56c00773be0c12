<?php

declare(strict_types=1);

namespace Linguator\Core\Likeness;

use Linguator\Core\Document\Node;
use Linguator\Core\Rig\Items;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Rig\SwitchSetting;

/** Which switch moves a function, and what its positions send. The channel stays this rig's; levels that were read there are not taken. */
final readonly class SwitchesLike implements LikePart
{
    private const KEYS = ['switch', 'weight', 'offset', 'curve', 'power_up'];

    public function __construct(private RigDocument $here, private RigDocument $there)
    {
    }

    public function title(): string
    {
        return 'Switches';
    }

    public function lines(): array
    {
        return array_map(fn (SwitchSetting $switch): LikeLine => new LikeLine($switch->function, $switch->function, self::words($this->here->switchOf($switch->function)), self::words($switch)), $this->taken());
    }

    public function leftOut(): array
    {
        $left = [];
        foreach ($this->there->switches() as $switch) {
            $why = $this->whyNot($switch);
            if ($why !== null) {
                $left[] = "$switch->function: $why";
            }
        }

        return $left;
    }

    public function taking(array $keys): RigPatch
    {
        $items = Items::of($this->here, 'settings.switches');
        foreach ($this->taken() as $switch) {
            if (in_array($switch->function, $keys, true)) {
                $items = $items->put(
                    static fn (Node $item): bool => $item->text('function') === $switch->function,
                    self::set($switch) + ['levels_us' => null],
                    ['function' => $switch->function, 'channel' => $this->channel($switch->function)],
                );
            }
        }

        return $items->patch();
    }

    /** @return list<SwitchSetting> Of the other rig. */
    private function taken(): array
    {
        return array_values(array_filter($this->there->switches(), fn (SwitchSetting $switch): bool => $this->whyNot($switch) === null && self::words($switch) !== self::words($this->here->switchOf($switch->function))));
    }

    private function whyNot(SwitchSetting $switch): ?string
    {
        return match (true) {
            $this->channel($switch->function) === null => 'this craft has no such function.',
            $switch->switchId === null => 'it is on no switch there.',
            $this->here->handset()->switch($switch->switchId) === null => "this handset's card has no $switch->switchId.",
            default => null,
        };
    }

    private function channel(string $function): ?int
    {
        return $this->here->switchOf($function)->channel ?? $this->here->functions()?->channelOf($function);
    }

    /** @return array<string, mixed> Null: as it is without. */
    private static function set(SwitchSetting $switch): array
    {
        $set = [];
        foreach (self::KEYS as $key) {
            $set[$key] = $switch->node()->get($key);
        }

        return $set;
    }

    private static function words(?SwitchSetting $switch): string
    {
        if ($switch?->switchId === null) {
            return 'no switch';
        }
        $curve = $switch->curve === null ? '' : ', levels '.implode(' / ', array_map(static fn (float $pct): string => sprintf('%g', $pct), $switch->curve)).' %';

        return sprintf('%s, weight %g %%, offset %g %%%s, off in position %d', $switch->switchId, $switch->weight, $switch->offset, $curve, $switch->powerUp);
    }
}
