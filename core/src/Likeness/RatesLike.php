<?php

declare(strict_types=1);

namespace Linguator\Core\Likeness;

use Linguator\Core\Rig\ChannelItems;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Steps\Switches\RateRow;
use Linguator\Core\Steps\Switches\SwitchReview;

/** Rates and expo of each stick, by its function: it may ride on another channel there. */
final readonly class RatesLike implements LikePart
{
    /** @var list<RateRow> */
    private array $here;

    /** @var list<RateRow> */
    private array $there;

    public function __construct(private RigDocument $rig, RigDocument $other)
    {
        $this->here = (new SwitchReview($rig))->rates();
        $this->there = (new SwitchReview($other))->rates();
    }

    public function title(): string
    {
        return 'Rates and expo';
    }

    public function lines(): array
    {
        $lines = [];
        foreach ($this->here as $row) {
            $like = $this->like($row);
            if ($like !== null && self::words($like) !== self::words($row)) {
                $lines[] = new LikeLine($row->function, $row->function, self::words($row), self::words($like));
            }
        }

        return $lines;
    }

    public function leftOut(): array
    {
        $functions = array_column($this->here, 'function');
        $missing = array_filter($this->there, static fn (RateRow $row): bool => ! $row->isPlain() && ! in_array($row->function, $functions, true));

        return array_values(array_map(static fn (RateRow $row): string => "$row->function: no stick of this rig.", $missing));
    }

    public function taking(array $keys): RigPatch
    {
        $items = ChannelItems::of($this->rig);
        foreach ($this->here as $row) {
            $like = in_array($row->function, $keys, true) ? $this->like($row) : null;
            if ($like !== null) {
                $items = $items->put($row->channel, ['rate_pct' => $like->ratePct, 'low_rate_pct' => $like->lowRatePct, 'expo_pct' => $like->expoPct]);
            }
        }

        return $items->patch();
    }

    private function like(RateRow $row): ?RateRow
    {
        foreach ($this->there as $other) {
            if ($other->function === $row->function) {
                return $other;
            }
        }

        return null;
    }

    private static function words(RateRow $row): string
    {
        return sprintf('rate %g %%%s, expo %g %%', $row->ratePct, $row->lowRatePct === null ? '' : sprintf(', low rate %g %%', $row->lowRatePct), $row->expoPct);
    }
}
