<?php

declare(strict_types=1);

namespace Linguator\Core\DryBench;

/** One run of a chain: what every box gets and sends, while the controls stand as they do. */
final readonly class Run
{
    /**
     * @param  array<int, Carried>  $into  What comes into the box at a position.
     * @param  array<int, Carried>  $sent  What leaves it towards the next.
     * @param  array<int, bool>  $linked  Whether its receiver hears, by hop.
     * @param  list<int>  $lost  Hops whose link is down.
     */
    public function __construct(public Circuit $circuit, private array $into, private array $sent, private array $linked, public array $lost)
    {
    }

    public function into(int $position): ?Carried
    {
        return $this->into[$position] ?? null;
    }

    /** What leaves the box at a position; of the last one, what came into it. */
    public function sent(int $position): ?Carried
    {
        return $this->sent[$position] ?? $this->into[$position] ?? null;
    }

    /** @param  int  $hop  From 1. */
    public function isLinked(int $hop): bool
    {
        return $this->linked[$hop] ?? false;
    }

    /** @return list<Coupling> From the handset on; what is plugged past a controller last. */
    public function couplings(): array
    {
        $craft = new Craft($this);
        $couplings = [];
        foreach ($this->sent as $position => $sent) {
            $way = $this->circuit->way($position);
            if ($way !== null) {
                $couplings[] = $craft->drives($position) ?? $way->coupling($sent);
            }
        }

        return [...$couplings, ...array_filter([$craft->past()])];
    }
}
