<?php

// A rig of five years beside a new one: weekly check-outs, readings, sign-offs. LINGUATOR_DB=FILE php bench/years.php http://127.0.0.1:PORT
declare(strict_types=1);

use App\Actions\ChangeRig;
use App\Actions\ImportRig;
use App\Models\Rig;
use Illuminate\Contracts\Console\Kernel;
use Linguator\Core\Document\Json;
use Linguator\Core\Proof\CheckKind;
use Linguator\Core\Proof\CheckMade;
use Linguator\Core\Rig\EntryKind;
use Linguator\Core\Rig\RigDocument;

require __DIR__.'/storm.php';
require dirname(__DIR__).'/vendor/autoload.php';
(require dirname(__DIR__).'/bootstrap/app.php')->make(Kernel::class)->bootstrap();

const WEEKS = 260;
const CHECKS_A_WEEK = 10;
const READINGS = 500;

$base = rtrim($argv[1] ?? '', '/');
$new = Rig::query()->where('slug', 'avocet')->sole();
$plain = $new->whole()->canonical();
$plain->name = 'Avocet, five years';
unset($plain->uid);
$rig = $new->rig();
$log = $plain->log ?? [];
$count = ['checks' => count($plain->checks), 'measurements' => count($plain->measurements), 'sign_offs' => count($plain->sign_offs)];
$add = static function (string $place, stdClass $item, string $kind, string $text, string $at) use ($plain, &$log, &$count): void {
    $plain->{$place}[] = $item;
    $log[] = (object) ['at' => $at, 'kind' => $kind, 'text' => $text, 'before' => new stdClass, 'after' => new stdClass, 'lists' => (object) [$place => (object) ['at' => $count[$place]++, 'added' => 1]]];
};
$day = new DateTimeImmutable('2021-11-28T09:00:00Z');
for ($week = 0; $week < WEEKS; $week++) {
    $at = $day->modify("+$week weeks")->format('Y-m-d\TH:i:s\Z');
    for ($k = 0; $k < CHECKS_A_WEEK; $k++) {
        $kind = CheckKind::cases()[$k];
        [$check] = array_slice((new CheckMade($kind, $kind->isPerHop() ? 1 : null, true, null, 'as it should', 'Wren', $at))->on($rig)->apply($rig->document)['document']->checks, -1);
        $add('checks', $check, 'test', $kind->title().' checked, holds: as it should', $at);
    }
    for ($k = 0; $k < (int) ceil(READINGS / WEEKS) && $count['measurements'] < READINGS; $k++) {
        $add('measurements', (object) ['channel' => 1 + ($week + $k) % 4, 'at' => $at, 'lo_us' => 1050.0, 'mid_us' => 1500.0, 'hi_us' => 1950.0, 'settings' => (object) ['lo_pct' => 87.9, 'hi_pct' => 87.9, 'subtrim' => 0]], 'measurement', 'Read', $at);
    }
    $sign = clone $rig->document->sign_offs[0];
    $sign->at = $at;
    $add('sign_offs', $sign, 'sign-off', 'Signed off by Wren', $at);
}
$plain->log = $log;
$old = (new ImportRig)(RigDocument::of($plain));

$size = static fn (Rig $rig): int => strlen($rig->text());
$bytes = $size($old);
$fresh = Rig::query()->findOrFail($old->id);
$begin = hrtime(true);
$more = app(ChangeRig::class)($fresh, $fresh->revision, (new CheckMade(CheckKind::Range, null, true, null, 'all answered', 'Wren', '2026-11-28T10:00:00Z'))->on($fresh->rig()), 'Range check checked, holds: all answered', EntryKind::Test);
$took = (hrtime(true) - $begin) / 1e6;

printf("## A rig of five years: %d checks, %d readings, %d sign-offs\n\n| what | figure | aim |\n|---|--:|--:|\n", count($plain->checks), count($plain->measurements), count($plain->sign_offs));
printf("| its document, as exported | %.2f MB | ≤ 2.5 MB |\n| the same, on one line | %.2f MB | |\n", $bytes / 1e6, strlen(Json::compact($old->whole()->canonical())) / 1e6);
printf("| one more check adds | %d bytes | ≤ 1000 |\n| writing it takes | %.0f ms | |\n", $size($more) - $bytes, $took);
$pages = ['new' => "$base/api/v1/rigs/avocet", 'old' => "$base/api/v1/rigs/$old->slug"];
$times = ['new' => [], 'old' => []];
for ($round = 0; $round < 8; $round++) {
    foreach ($pages as $which => $address) {
        storm($address, null, 4);
        array_push($times[$which], ...storm($address, null, 50));
    }
}
array_walk($times, static fn (array &$list) => sort($list));
[$p50New, $p95New] = middleAndSlow($times['new']);
[$p50Old, $p95Old] = middleAndSlow($times['old']);
printf("| page of a new rig, four clients, p50 / p95 | %.0f / %.0f ms | 80 |\n| page of the old one | %.0f / %.0f ms | new + 20 %% = %.0f |\n", $p50New, $p95New, $p50Old, $p95Old, 1.2 * $p95New);
storm("$base/api/v1/rigs/$old->slug/at/2000", null, 4);
printf("| the old one as it was half its life ago, p50 / p95 | %.0f / %.0f ms | 100 |\n", ...middleAndSlow(storm("$base/api/v1/rigs/$old->slug/at/2000", null, 100)));
