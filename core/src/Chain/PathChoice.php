<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

/** Along given boxes, chooses one way at every coupling so that the whole is best; earliest ways win a tie. */
final class PathChoice
{
    private ?Path $best = null;

    private function __construct(private readonly Segment $whole, private readonly ?Path $toBeat)
    {
    }

    /** Null if none is better than the path to beat. */
    public static function best(Segment $whole, ?Path $toBeat): ?Path
    {
        $choice = new self($whole, $toBeat);
        $choice->extend([], new Cost(0, count($whole->boxes) + 1, 0, 0.0));

        return $choice->best;
    }

    /** @param  list<Joint>  $chosen */
    private function extend(array $chosen, Cost $cost): void
    {
        if ($this->isTooDear($cost)) {
            return;
        }
        $next = $this->whole->couplings[count($chosen)] ?? null;
        if ($next === null) {
            $this->take($chosen);

            return;
        }
        foreach ($next as $joint) {
            $this->extend(
                [...$chosen, $joint],
                new Cost($cost->fixes + $joint->fixes, $cost->boxes, $cost->settings + count($joint->changes), $cost->ms + $joint->stage->mean()),
            );
        }
    }

    private function isTooDear(Cost $cost): bool
    {
        $limit = $this->best ?? $this->toBeat;

        return $limit !== null && $cost->compare($limit->cost) > 0;
    }

    /** @param  list<Joint>  $joints */
    private function take(array $joints): void
    {
        assert($joints !== []);
        $path = new Path(new Joints($joints), $this->whole->boxFindings);
        if ($path->compare($this->best ?? $this->toBeat ?? $path) < 0 || ($this->best === null && $this->toBeat === null)) {
            $this->best = $path;
        }
    }
}
