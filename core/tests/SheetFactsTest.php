<?php

declare(strict_types=1);

use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Tests\DemoRigs;
use Linguator\Core\Tests\SheetText;
use Linguator\Core\Tests\Situations;

/** @return array<string, array{RigDocument}> Every rig of the demo, and every situation where it ends. */
function rigsWithSheets(): array
{
    $rigs = [];
    foreach (['avocet', 'dunlin', 'mudlark', 'sanderling', 'oystercatcher'] as $name) {
        $rigs[$name] = [DemoRigs::get($name)];
    }
    foreach (Situations::all() as $name => $situation) {
        $rigs[$name] = [Situations::walked($situation)->rig];
    }

    return $rigs;
}

/** @return list<string> Every number that stands in a review, its sheet left out: as numbers, and inside sentences. */
function figuresOf(mixed $value): array
{
    return match (true) {
        is_array($value) => array_merge([], ...array_map(figuresOf(...), array_values($value))),
        is_int($value), is_float($value) => [sprintf('%g', $value), sprintf('%.0f', $value), sprintf('%g', round((float) $value, 1))],
        is_string($value) => preg_match_all('/\d+(?:\.\d+)?/', $value, $found) > 0 ? array_map(static fn (string $one): string => sprintf('%g', $one), $found[0]) : [],
        default => [],
    };
}

it('has no number on the sheet that the review does not have', function (RigDocument $rig) {
    $review = DemoRigs::review($rig);
    unset($review['sheet']);
    // Packs are told by the rig; what they come to is arithmetic of the sheet's own rows, held by rule 3.
    $known = array_flip([...figuresOf($review), ...figuresOf(json_decode((string) json_encode($rig->document), true))]);
    foreach (DemoRigs::review($rig)['sheet'] as $section) {
        foreach ($section['rows'] as $row) {
            if (in_array($row['key'], ['alarm', 'meter'], true) || str_starts_with($row['key'], 'on/') || str_starts_with($row['key'], 'proven/') || preg_match('~^bind/\d/\d~', $row['key']) === 1) {
                continue;
            }
            preg_match_all('/\d+(?:\.\d+)?/', $row['value'], $found);
            foreach ($found[0] as $figure) {
                expect(isset($known[sprintf('%g', $figure)]))->toBeTrue("{$row['key']}: {$row['value']}");
            }
        }
    }
})->with(rigsWithSheets(...));

it('has every setting on the sheet that the review asks for', function (RigDocument $rig) {
    $review = DemoRigs::review($rig);
    $rows = [];
    foreach ($review['sheet'] as $section) {
        foreach ($section['rows'] as $row) {
            $rows[$row['key']] = "{$row['label']}: {$row['value']}";
        }
    }
    foreach ($review['changes'] as $change) {
        expect($rows["{$change['box']}/{$change['setting']}"] ?? null)->toBe("{$change['name']}: {$change['value']}");
    }
    foreach ($review['wiring']['wires'] as $wire) {
        foreach ($wire['rows'] as $row) {
            expect($rows["wire/{$row['key']}"] ?? '')->toStartWith(ucfirst($row['from_pin']).": {$row['to_pin']}");
        }
    }
    foreach ($review['travel']['rows'] as $row) {
        $set = in_array($row['state'], ['solved', 'residue', 'beforehand'], true) ? $row['solution']['settings'] : $row['now'];
        expect($rows["travel/{$row['channel']}"] ?? '')->toContain($row['state'] === 'open' ? 'not read yet' : sprintf('%g / %g %%, sub-trim %s', $set['lo_pct'], $set['hi_pct'], str_replace('-', '−', (string) $set['subtrim'])));
    }
    foreach ($review['switches']['rows'] as $row) {
        expect($rows["switch/{$row['function']}"] ?? '')->toContain("channel {$row['channel']}, ".implode(' / ', array_map(fn (array $level): string => sprintf('%.0f', $level['us']), $row['levels'])));
        foreach ($row['windows'] as $window) {
            expect($rows["window/{$row['function']}/{$window['position']}"] ?? '')->toContain(sprintf('%g–%g µs on channel %d', $window['lo'], $window['hi'], $window['channel']));
        }
    }
    foreach ($review['failsafe']['hops'] as $hop) {
        expect($rows["loss/{$hop['hop']}/mode"] ?? '')->toContain($hop['mode_says']);
        foreach ($hop['tests'] as $test) {
            expect($rows["loss/{$hop['hop']}/test/{$test['cut']}"] ?? '')->toContain($test['do']);
        }
        foreach (array_filter($hop['stored_us'] ?? [], is_numeric(...)) as $us) {
            expect($rows["loss/{$hop['hop']}/stored"])->toContain(sprintf('%g', $us));
        }
    }
    foreach ($review['bind'] as $hop) {
        foreach ($hop['recipe'] as $k => $step) {
            expect($rows["bind/{$hop['hop']}/$k"])->toContain($step['text']);
        }
    }
    foreach ($review['readiness']['leftovers'] as $leftover) {
        expect(isset($rows["left/{$leftover['what']}"]))->toBe($leftover['left'] !== null);
    }
    expect($rows['state'])->toBe("{$review['next']['label']}: {$review['next']['sentence']}");
})->with(rigsWithSheets(...));

it('reads out as text what stands in its rows', fn () => expect(SheetText::of(DemoRigs::get('avocet')))->toContain('  Stick mode: 2'));
