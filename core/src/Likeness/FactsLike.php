<?php

declare(strict_types=1);

namespace Linguator\Core\Likeness;

use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Steps\Told\Fact;

/** What was said of the other rig, to be said of this one too. */
final readonly class FactsLike implements LikePart
{
    /** @param  list<Fact>  $facts */
    public function __construct(private string $title, private array $facts, private RigDocument $here, private RigDocument $there)
    {
    }

    public function title(): string
    {
        return $this->title;
    }

    public function lines(): array
    {
        return array_map(fn (Fact $fact): LikeLine => new LikeLine($fact->value, $fact->label(), $fact->said($this->here) ?? 'not said', $fact->said($this->there) ?? ''), $this->taken());
    }

    public function leftOut(): array
    {
        return array_values(array_map(
            static fn (Fact $fact): string => "{$fact->label()}: it does not matter here.",
            array_filter($this->differing(), fn (Fact $fact): bool => ! $this->matters($fact)),
        ));
    }

    public function taking(array $keys): RigPatch
    {
        return $this->patch(...array_filter($this->taken(), static fn (Fact $fact): bool => in_array($fact->value, $keys, true)));
    }

    /** @return list<Fact> */
    private function taken(): array
    {
        return array_values(array_filter($this->differing(), $this->matters(...)));
    }

    /** @return list<Fact> */
    private function differing(): array
    {
        return array_values(array_filter($this->facts, fn (Fact $fact): bool => $fact->of($this->there) !== null && $fact->of($this->there) !== $fact->of($this->here)));
    }

    /** Whether it can matter here, once all the others are taken too. */
    private function matters(Fact $fact): bool
    {
        return $fact->isAsked(RigDocument::of($this->patch(...$this->differing())->apply($this->here->document)->document));
    }

    private function patch(Fact ...$facts): RigPatch
    {
        $set = [];
        foreach ($facts as $fact) {
            $set["settings.told.$fact->value"] = $fact->of($this->there);
        }

        return RigPatch::of($set);
    }
}
