<?php

declare(strict_types=1);

namespace Linguator\Core\Supply;

/** A pack that is usual, to choose from. */
final readonly class PackChoice
{
    /** @var array<string, array{0: int, 1: int}> Fewest and most cells of a pack in a handset, by chemistry. */
    private const IN_HANDSETS = ['lipo' => [1, 4], 'lihv' => [1, 3], 'life' => [2, 4], 'nimh' => [4, 8]];

    /** @var array<string, array{0: int, 1: int}> The same of a pack that feeds a receiver. */
    private const IN_CRAFT = ['lipo' => [1, 3], 'lihv' => [1, 2], 'life' => [1, 2], 'nimh' => [4, 6]];

    private function __construct(public Chemistry $chemistry, public int $cells, public string $label)
    {
    }

    /** @return list<self> */
    public static function inHandsets(): array
    {
        return self::between(self::IN_HANDSETS);
    }

    /** @return list<self> */
    public static function inCraft(): array
    {
        return self::between(self::IN_CRAFT);
    }

    /**
     * @param  array<string, array{0: int, 1: int}>  $cells
     * @return list<self>
     */
    private static function between(array $cells): array
    {
        $choices = [];
        foreach ($cells as $chemistry => [$fewest, $most]) {
            foreach (range($fewest, $most) as $count) {
                $pack = new Pack(Chemistry::from($chemistry), max(1, $count));
                $choices[] = new self($pack->chemistry, $count, "$count {$pack->chemistry->label()}");
            }
        }

        return $choices;
    }
}
