<?php

declare(strict_types=1);

namespace Linguator\Core\Tests;

use Linguator\Core\Capture\Source;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\KeyOrder;
use Linguator\Core\Document\Plain;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\Formats;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Signal\CaptureDesk;
use Linguator\Core\Signal\DecodeAnswer;
use Linguator\Core\Signal\DeskView;

/** Whole answers, rounded, as they are held against reviewed files in tests/fixtures/answers. `scripts/write-answers.php` writes those. */
final class Answers
{
    private const DIGITS = 4;

    public static function file(string $name): string
    {
        return dirname(__DIR__, 2)."/tests/fixtures/answers/$name.json";
    }

    /** @return array<string, \Closure(): mixed> By name: what a screen gets of rigs, and of captures. */
    public static function all(): array
    {
        return [...self::rigs(), ...self::captures()];
    }

    /** @return array<string, \Closure(): mixed> */
    public static function rigs(): array
    {
        $all = [];
        foreach (['avocet', 'dunlin', 'mudlark', 'oystercatcher', 'sanderling'] as $name) {
            $all["rig-$name"] = static fn (): mixed => DemoRigs::review(DemoRigs::get($name));
        }
        foreach (self::changes() as $name => [$rig, $patch]) {
            $all["rig-$name"] = static fn (): mixed => DemoRigs::review(DemoRigs::changed(DemoRigs::get($rig), $patch));
        }
        foreach (Situations::all() as $name => $situation) {
            $all["situation-$name"] = static fn (): mixed => Situations::review($situation);
        }
        $all['rig-blank'] = static fn (): mixed => DemoRigs::review(RigDocument::of(RigDocument::blank('New', 'plane')));

        return $all;
    }

    /** @return array<string, array{string, RigPatch}> Demo rigs in other states: what they were not carried to. */
    private static function changes(): array
    {
        return [
            'avocet-order-changed' => ['avocet', RigPatch::of(['settings.order' => 'RTEA', 'settings.receiver_number' => 12])],
            'avocet-unremapped' => ['avocet', RigPatch::of(['settings.remap.brack-m4' => false, 'settings.plugs' => 'arrival'])],
            'dunlin-stored' => ['dunlin', RigPatch::of(['settings.failsafe' => [(object) ['hop' => 1, 'mode' => 'stored', 'stored_us' => [1500, 1500, 1800, 1500, 2012], 'set_by' => 'button']], 'settings.school' => 'leave'])],
            'mudlark-nothing-told' => ['mudlark', RigPatch::of(['measurements' => [], 'checks' => []], ['craft.functions', 'settings.switches', 'settings.windows'])],
            'oystercatcher-two-hops' => ['oystercatcher', RigPatch::of(['settings.failsafe' => [(object) ['hop' => 1, 'mode' => 'none'], (object) ['hop' => 2, 'mode' => 'stored', 'stored_us' => [1500, 1500, 1000, 1500]]], 'settings.craft_pack' => (object) ['chemistry' => 'lipo', 'cells' => 4]])],
            'sanderling-bare' => ['sanderling', RigPatch::of(['settings.links' => [], 'attempts' => []])],
        ];
    }

    /** @return array<string, \Closure(): mixed> */
    private static function captures(): array
    {
        $all = [];
        $root = dirname(__DIR__, 2);
        foreach ([...glob("$root/demo/captures/*") ?: [], ...glob("$root/tests/fixtures/captures/*.{csv,bin,hex,vcd,wav}", GLOB_BRACE) ?: []] as $file) {
            if (filesize($file) > 0 && ! str_ends_with($file, 'garbage.bin')) {
                $all['capture-'.basename($file)] = static fn (): mixed => self::capture($file);
            }
        }

        return $all;
    }

    private static function capture(string $file): mixed
    {
        $stream = fopen($file, 'rb');
        assert($stream !== false);
        $decoding = (new CaptureDesk(Formats::shipped(), new Schemas))->decode(new Source($stream), new \stdClass);

        $desk = Plain::object(new DeskView($decoding));

        // Hundreds of spans alike: the first and the last of them tell as much.
        return ['answer' => new DecodeAnswer($decoding), 'desk' => ['spans' => [...array_slice($desk['spans'], 0, 2), ...array_slice($desk['spans'], -1)]] + $desk];
    }

    /** The answer as the file has it. */
    public static function text(mixed $answer): string
    {
        return Json::pretty(KeyOrder::canonical(self::rounded(json_decode((string) json_encode($answer, JSON_PRESERVE_ZERO_FRACTION | JSON_INVALID_UTF8_SUBSTITUTE)))));
    }

    private static function rounded(mixed $value): mixed
    {
        return match (true) {
            is_float($value) => round($value, self::DIGITS) + 0.0,
            is_array($value) => array_map(self::rounded(...), $value),
            $value instanceof \stdClass => (object) array_map(self::rounded(...), get_object_vars($value)),
            default => $value,
        };
    }
}
