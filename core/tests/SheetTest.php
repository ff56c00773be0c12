<?php

declare(strict_types=1);

use Linguator\Core\Document\Node;
use Linguator\Core\Gear\Plug;
use Linguator\Core\Rig\RigDocument;
use Linguator\Core\Rig\RigPatch;
use Linguator\Core\Sheet\CraftLabel;
use Linguator\Core\Sheet\RowState;
use Linguator\Core\Sheet\SheetRow;
use Linguator\Core\Tests\BenchRigs;
use Linguator\Core\Tests\DemoRigs;
use Linguator\Core\Tests\SheetText;

/** @return list<array{title: string, rows: list<array{key: string, label: string, value: string, state: string}>}> */
function sheetOf(RigDocument $rig): array
{
    return DemoRigs::review($rig)['sheet'];
}

/** @return array<string, string> State and value by key. */
function sheetRows(RigDocument $rig): array
{
    $rows = [];
    foreach (sheetOf($rig) as $section) {
        foreach ($section['rows'] as $row) {
            expect($rows)->not->toHaveKey($row['key']);
            $rows[$row['key']] = "{$row['state']} {$row['value']}";
        }
    }

    return $rows;
}

it('writes the whole sheet of a rig', function (string $name) {
    expect(SheetText::of(DemoRigs::get($name)))->toBe((string) file_get_contents(dirname(__DIR__, 2)."/tests/fixtures/sheets/$name.txt"));
})->with(['avocet', 'dunlin', 'mudlark', 'sanderling', 'oystercatcher']);

it('shows at once what a late change made stale, and leaves the rest as it was', function (array $set, array $touched) {
    $rig = DemoRigs::get('avocet');
    $before = sheetRows($rig);
    $after = sheetRows(DemoRigs::changed($rig, RigPatch::of($set)));
    $changed = array_keys(array_filter($before, fn (string $row, string $key): bool => ($after[$key] ?? null) !== $row, ARRAY_FILTER_USE_BOTH));
    sort($changed);
    expect($changed)->toBe($touched);
    foreach ($touched as $key) {
        if (str_starts_with($key, 'proven/')) {
            expect($after[$key])->toStartWith('attention stale: ');
        }
    }
})->with([
    'a stick mode' => [['settings.stick_mode' => 1], ['stick_mode']],
    'a pack of other cells' => [['settings.pack' => (object) ['chemistry' => 'lipo', 'cells' => 2]], ['alarm', 'meter', 'pack', 'power/Brack M4', 'proven/power/', 'signed', 'state']],
    'where the antenna is' => [['settings.antenna' => 'along the boom'], ['proven/antenna/', 'proven/range/', 'signed', 'state']],
]);

it('has nothing to say of a rig without boxes, and only its boxes where they do not join', function () {
    expect(sheetOf(RigDocument::of(RigDocument::blank('New', 'plane'))))->toBe([]);
    $chain = [DemoRigs::get('dunlin')->document->chain[0], DemoRigs::get('avocet')->document->chain[2], DemoRigs::get('avocet')->document->chain[3]];
    $titles = array_column(sheetOf(DemoRigs::changed(DemoRigs::get('dunlin'), RigPatch::of(['chain' => $chain]))), 'title');
    expect($titles)->toContain('Handset: Ostrel 9', 'Receiver: Tarn T7')->not->toContain('Proven', 'Travel in the handset', 'Switching on and off', 'If the link is lost');
});

it('puts onto the label what is known, and leaves a line for what is not', function () {
    $rows = fn (RigDocument $rig): array => array_column(array_map(fn (SheetRow $row): array => [$row->key, [$row->value, $row->state]], (new CraftLabel($rig))->rows()), 1, 0);
    $blank = $rows(DemoRigs::changed(DemoRigs::get('avocet'), RigPatch::of([], ['settings.memory', 'settings.receiver_number', 'settings.craft_pack', 'settings.told'])));
    expect($blank['memory'])->toBe(['', RowState::Open])->and($blank['receiver_number'])->toBe(['', RowState::Open])->and($blank['alarm'])->toBe(['', RowState::Open])->and($blank['order'])->toBe(['AETR', RowState::Known]);
    $told = $rows(DemoRigs::changed(DemoRigs::get('avocet'), RigPatch::of(['settings.memory' => '00', 'settings.told' => (object) ['cell_alarm_v' => 3.5]])));
    expect($told['memory'])->toBe(['00', RowState::Known])->and($told['alarm'])->toBe(['3.5 V a cell', RowState::Known]);
    // A test that holds gives its day; once a setting it was made with changes, it is none.
    $walked = BenchRigs::get('11-tiny-servos');
    expect($rows($walked)['failsafe'][0])->toMatch('/^\d+ \w+ 2026$/')
        ->and($rows(DemoRigs::changed($walked, RigPatch::of(['settings.order' => 'TAER'])))['failsafe'])->toBe(['', RowState::Open]);
});

it('says what a straight lead would get wrong, where both plugs are known, and nothing where one is not', function (?array $from, ?array $to, ?string $wrong) {
    $port = static fn (?array $pins): Node => new Node((object) ($pins === null ? [] : ['plug' => $pins]));
    [$a, $b] = [Plug::of($port($from)), Plug::of($port($to))];
    expect($a === null || $b === null ? null : $a->straightInto($b))->toBe($wrong);
})->with([
    'the same' => [['signal', 'plus', 'ground'], ['signal', 'plus', 'ground'], null],
    'the other way round' => [['signal', 'plus', 'ground'], ['ground', 'plus', 'signal'], 'a straight lead puts signal on ground, ground on signal'],
    'plus on the signal' => [['signal', 'plus', 'ground'], ['plus', 'signal', 'ground'], 'a straight lead puts signal on plus, plus on signal'],
    'a free pin' => [['signal', 'free', 'ground'], ['signal', 'plus', 'ground'], null],
    'a free pin at the other end' => [['signal', 'plus', 'ground'], ['signal', 'free', 'ground'], null],
    'another size' => [['signal', 'plus', 'ground'], ['ground', 'plus', 'signal', 'data'], 'one plug has 3 pins and the other 4'],
    'one not known' => [['signal', 'plus', 'ground'], null, null],
]);

it('draws the attention of whoever wires to it', function () {
    $rows = sheetRows(DemoRigs::get('dunlin'));
    expect($rows['wire/weft-r16i/plug'])->toContain('ground on signal, signal on ground');
    expect(array_keys(sheetRows(DemoRigs::get('avocet'))))->not->toContain('wire/tarn-t7/plug');
});
