<?php

declare(strict_types=1);

use App\Models\RigEntry;

it('takes a channel from readings to confirmed by what the screen sends', function () {
    $this->demo();
    $rig = fn () => $this->getJson('/api/v1/rigs/dunlin')->json();
    $row = fn () => collect($rig()['review']['travel']['rows'])->firstWhere('channel', 4);
    $preview = $this->postJson('/api/v1/rigs/dunlin/travel', ['drafts' => ['4' => ['lo' => 990, 'mid' => 1520, 'hi' => 2010], '1' => ['lo' => 1500, 'mid' => 1500, 'hi' => 1500]]])->assertOk();
    expect(collect($preview->json('travel.rows'))->firstWhere('channel', 4)['solution']['settings']['subtrim'])->toEqual(-20)
        ->and($preview->json('problems.1.path'))->toBe('drafts.1.mid');
    expect($row()['reading']['mid'])->toEqual(1518);

    $this->means('dunlin', 'take-settings', ['channels' => [4]])->assertOk();
    expect($row()['state'])->toBe('set');
    $this->means('dunlin', 'keep-reading', ['channel' => 4, 'lo' => 1000, 'mid' => 1500, 'hi' => 2000])->assertOk();
    expect($row()['state'])->toBe('confirmed');
    expect(RigEntry::query()->where('kind', 'measurement')->latest('id')->first()->plain()->text)->toBe('Channel 4 read: 1000 / 1500 / 2000 µs');
    foreach ([1, 2] as $ignored) {
        $this->postJson('/api/v1/rigs/dunlin/undo', ['revision' => $rig()['revision']])->assertOk();
    }
    expect($row()['state'])->toBe('solved');
});

it('logs attempts, learns from them, and keeps the proof', function () {
    $this->demo();
    $rig = fn () => $this->getJson('/api/v1/rigs/sanderling')->json();
    $try = function (string $variant, float $metres, bool $bound): void {
        $attempt = ['hop' => 1, 'variant' => $variant, 'channel_mode' => 'as it is', 'distance_m' => $metres, 'bound' => $bound];
        $this->means('sanderling', 'log-attempt', $attempt)->assertOk();
    };
    $try('auto', 2, false);
    expect($rig()['review']['bind'][0]['next']['variant'])->toBe('tarn-a');
    $try('tarn-a', 2, true);
    $this->means('sanderling', 'prove-bind', ['hop' => 1, 'passed' => true, 'by' => 'Wren'])->assertOk();
    expect(collect($rig()['review']['steps'])->firstWhere('key', 'bind')['state'])->toBe('done');
});

it('refuses what cannot be, with its place, and writes nothing', function (string $intent, array $told, string $path) {
    $this->demo();
    $before = $this->getJson('/api/v1/rigs/dunlin')->json();
    $this->means('dunlin', $intent, $told)->assertStatus(422)->assertJsonPath('error.path', $path);
    expect($this->getJson('/api/v1/rigs/dunlin')->json('document'))->toBe($before['document']);
})->with([
    'low above high' => ['keep-reading', ['channel' => 1, 'lo' => 2000, 'mid' => 1500, 'hi' => 1000], 'mid'],
    'a dead channel' => ['keep-reading', ['channel' => 1, 'lo' => 1500, 'mid' => 1500, 'hi' => 1500], 'mid'],
    'text like a number' => ['keep-reading', ['channel' => 1, 'lo' => 'NaN', 'mid' => 1500, 'hi' => 2000], 'lo'],
    'a channel with no stick on it' => ['keep-reading', ['channel' => 9, 'lo' => 1000, 'mid' => 1500, 'hi' => 2000], 'channel'],
    'beyond any pulse' => ['keep-reading', ['channel' => 1, 'lo' => 1000, 'mid' => 1500, 'hi' => 1e9], 'hi'],
    'nothing computed' => ['take-settings', ['channels' => [1, 9]], 'channels.1'],
    'no such model' => ['tell-subtrim-model', ['model' => 'around'], 'model'],
    'a hop that is not there' => ['prove-bind', ['hop' => 2, 'passed' => true], 'hop'],
    'a stranger to the ladder' => ['log-attempt', ['hop' => 1, 'variant' => 'odd', 'channel_mode' => 'as it is', 'distance_m' => 2, 'bound' => true], 'variant'],
    'no such intent' => ['fly-away', [], 'intent'],
    'a key nobody knows' => ['put-function', ['function' => 'arm', 'channel' => 5, 'luck' => 1], 'luck'],
    'a distance below nothing' => ['log-attempt', ['hop' => 1, 'variant' => 'weft-8', 'channel_mode' => '1-8', 'distance_m' => -2, 'bound' => true], 'distance_m'],
]);
