<?php

declare(strict_types=1);

namespace Linguator\Core\Rig;

use Linguator\Core\Document\Node;

/**
 * A rig's document without what its screens no longer ask for: of the lists that only grow, what judgements look at.
 *
 * A check counts only as the latest of its kind and hop, a sign-off as the latest, a reading as one of the latest of its channel.
 * What is shown says the same of both; a test holds it to that.
 */
final class RigFace
{
    /** The latest, and the one before it. */
    private const READINGS = 2;

    /** Shorter lists are not worth a second document. */
    private const WORTH_IT = 60;

    /** Null: the document is short enough as it is. */
    public static function of(\stdClass $document): ?\stdClass
    {
        $list = static fn (string $place): array => is_array($document->{$place} ?? null) ? array_values($document->{$place}) : [];
        [$checks, $readings, $signOffs] = [$list('checks'), $list('measurements'), $list('sign_offs')];
        if (count($checks) + count($readings) + count($signOffs) <= self::WORTH_IT) {
            return null;
        }
        $face = clone $document;
        $face->checks = self::latest($checks, static fn (\stdClass $check): string => self::text($check->check ?? '').'/'.self::text($check->hop ?? 1), 1);
        $face->sign_offs = self::latest($signOffs, static fn (): string => '', 1);
        $sound = array_filter($readings, static fn (mixed $reading): bool => $reading instanceof \stdClass && ChannelRecord::sound(new Node($reading)) !== null);
        $face->measurements = self::latest(array_values($sound), static fn (\stdClass $reading): string => self::text($reading->channel ?? ''), self::READINGS);
        foreach (['checks', 'sign_offs', 'measurements'] as $place) {
            if (! property_exists($document, $place)) {
                unset($face->{$place});
            }
        }

        return $face;
    }

    /**
     * @param  list<mixed>  $items
     * @param  callable(\stdClass): string  $key
     * @return list<\stdClass> The latest of each key, in their order.
     */
    private static function latest(array $items, callable $key, int $most): array
    {
        [$kept, $seen] = [[], []];
        foreach (array_reverse($items) as $item) {
            if ($item instanceof \stdClass && ($seen[$key($item)] = ($seen[$key($item)] ?? 0) + 1) <= $most) {
                $kept[] = $item;
            }
        }

        return array_reverse($kept);
    }

    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }
}
