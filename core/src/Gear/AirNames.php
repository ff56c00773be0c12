<?php

declare(strict_types=1);

namespace Linguator\Core\Gear;

/** The air protocol families and variants that some gear speaks. */
final class AirNames
{
    /**
     * @param  array<Box>  $boxes
     * @return list<string>
     */
    public static function families(array $boxes): array
    {
        return self::sorted(array_map(static fn (Protocol $protocol): string => $protocol->family, self::protocols($boxes)));
    }

    /**
     * @param  array<Box>  $boxes
     * @return list<string> As family/variant.
     */
    public static function variants(array $boxes): array
    {
        $fixed = array_filter(self::protocols($boxes), static fn (Protocol $protocol): bool => $protocol->variant !== null && $protocol->variant !== Protocol::AUTO);

        return self::sorted(array_map(static fn (Protocol $protocol): string => "$protocol->family/$protocol->variant", $fixed));
    }

    /**
     * @param  array<Box>  $boxes
     * @return list<Protocol>
     */
    public static function protocols(array $boxes): array
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

    /**
     * @param  array<string>  $names
     * @return list<string>
     */
    private static function sorted(array $names): array
    {
        $names = array_values(array_unique($names));
        sort($names);

        return $names;
    }
}
