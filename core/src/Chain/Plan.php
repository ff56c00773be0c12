<?php

declare(strict_types=1);

namespace Linguator\Core\Chain;

/** The best ways to join a handset and a craft, or what comes nearest. */
final readonly class Plan implements \JsonSerializable
{
    /**
     * @param  list<Path>  $paths  Best first, at most three.
     * @param  NearMiss|null  $nearestMiss  Null: something joins.
     */
    private function __construct(public array $paths, public ?NearMiss $nearestMiss)
    {
    }

    public static function of(PlanRequest $request): self
    {
        $paths = PathSearch::best($request);

        return new self($paths, $paths === [] ? NearestMiss::of($request) : null);
    }

    public function jsonSerialize(): \stdClass
    {
        return (object) (['paths' => $this->paths] + ($this->nearestMiss === null ? [] : ['nearest_miss' => $this->nearestMiss]));
    }
}
