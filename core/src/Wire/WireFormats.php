<?php

declare(strict_types=1);

namespace Linguator\Core\Wire;

use Linguator\Core\Document\DataFile;
use Linguator\Core\Document\Node;

/** The shipped wire formats (`core/data/wire-formats.yaml`); any other id stands for a format of which nothing is known. */
final class WireFormats
{
    private const OTHER_USUAL_MS = 10.0;

    private const OTHER_TRANSIT_MS = 3.0;

    /** @var array<string, WireFormat>|null */
    private static ?array $shipped = null;

    public static function get(string $id): WireFormat
    {
        return self::shipped()[$id] ?? new WireFormat($id, $id, null, self::OTHER_USUAL_MS, self::OTHER_TRANSIT_MS);
    }

    /** @return array<string, WireFormat> By id. */
    public static function shipped(): array
    {
        return self::$shipped ??= self::load();
    }

    /** @return array<string, WireFormat> */
    private static function load(): array
    {
        $formats = [];
        foreach ((array) DataFile::read('wire-formats.yaml') as $id => $format) {
            assert($format instanceof \stdClass);
            $node = new Node($format);
            $raw = $node->node('raw');
            $formats[(string) $id] = new WireFormat(
                (string) $id,
                $node->text('name'),
                $node->intOrNull('channels'),
                $node->number('usual_ms'),
                $node->number('transit_ms'),
                $node->flag('telemetry'),
                $node->flag('failsafe_flag'),
                $node->texts('line'),
                $raw === null ? null : ['centre' => $raw->number('centre'), 'us' => $raw->number('us')],
                $node->intOrNull('levels'),
            );
        }

        return $formats;
    }
}
