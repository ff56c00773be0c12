<?php

declare(strict_types=1);

namespace Linguator\Core\Likeness;

use Linguator\Core\Document\Chosen;
use Linguator\Core\Document\DocumentError;
use Linguator\Core\Rig\Deed;
use Linguator\Core\Rig\RigDocument;

/** A rig beside another one that it is to be like, but for some parts. */
final readonly class LikeThat
{
    public function __construct(private RigDocument $rig, private RigDocument $other)
    {
    }

    /** @return list<LikePartView> */
    public function parts(): array
    {
        return array_map(function (LikePartKey $key): LikePartView {
            $part = $key->of($this->rig, $this->other);

            return new LikePartView($key, $part->title(), $part->lines(), $part->leftOut());
        }, LikePartKey::cases());
    }

    /**
     * These lines of a part are to be as in the other rig.
     *
     * @param  list<string>  $keys
     *
     * @throws DocumentError if a line does not differ, or there is none such.
     */
    public function taking(LikePartKey $key, array $keys): Deed
    {
        $part = $key->of($this->rig, $this->other);
        $names = array_column($part->lines(), 'name', 'key');
        Chosen::mustBeAmong($keys, array_map(strval(...), array_keys($names)));
        $taken = implode(', ', array_map(static fn (string $line): string => $names[$line], $keys));

        return new Deed($part->taking($keys), "As in {$this->other->name()}: ".lcfirst($part->title())." ($taken)");
    }
}
