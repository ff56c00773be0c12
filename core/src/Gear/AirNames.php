<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

/** The air protocol families and variants that some gear speaks. */
final class AirNames
{
    /** @return list<string> */
    public static function families(Box ...$boxes): array
    {
        return self::sorted(...array_map(static fn (Protocol $protocol): string => $protocol->family, self::protocols(...$boxes)));
    }

    /** @return list<string> As family/variant. */
    public static function variants(Box ...$boxes): array
    {
        $fixed = array_filter(self::protocols(...$boxes), static fn (Protocol $protocol): bool => $protocol->variant !== null && $protocol->variant !== Protocol::AUTO);

        return self::sorted(...array_map(static fn (Protocol $protocol): string => "$protocol->family/$protocol->variant", $fixed));
    }

    /** @return list<Protocol> */
    public static function protocols(Box ...$boxes): array
    {
        $protocols = [];
        foreach ($boxes as $box) {
            $own = match (true) {
                $box instanceof Handset => array_merge(...array_map(static fn (Radio $radio): array => $radio->protocols, $box->radios)),
                $box instanceof Module => $box->radio->protocols,
                $box instanceof Receiver => $box->protocols,
                default => [],
            };
            array_push($protocols, ...$own);
        }

        return $protocols;
    }

    /** @return list<string> */
    private static function sorted(string ...$names): array
    {
        $names = array_values(array_unique($names));
        sort($names);

        return $names;
    }
}
