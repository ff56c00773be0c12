<?php

declare(strict_types=1);

use App\Models\PracticeGame;
use App\Models\Rig;
use Illuminate\Support\Facades\Artisan;

beforeEach(fn () => $this->demo());

it('runs a rig of the bench while its controls stand as told', function () {
    foreach (Rig::bench() as $rig) {
        fittingScreen('dry_bench', $this->getJson("/api/v1/rigs/$rig->slug/dry-bench")->assertOk()->getContent());
        $shown = fittingScreen('dry_bench_shown', $this->postJson("/api/v1/rigs/$rig->slug/dry-bench", ['sticks' => ['A' => 30], 'waves' => [0, 1, 2]])->assertOk()->getContent());
        expect($shown->planned)->toBeNull()->and(count($shown->names))->toBe(count($shown->couplings));
    }
    $lost = fittingScreen('dry_bench_shown', $this->postJson('/api/v1/rigs/dunlin/dry-bench', ['link' => ['lost' => [1]]])->getContent());
    expect($lost->outcome[0]->hop)->toBe(1)->and($lost->planned)->not->toBeNull()->and($lost->lights[0]->shows)->toBe('searching');
});

it('says what cannot be run, at its place', function (array $told, string $path) {
    $this->postJson('/api/v1/rigs/dunlin/dry-bench', $told)->assertStatus(422)->assertJsonPath('error.path', $path);
})->with([
    [['sticks' => ['A' => 300]], 'sticks.A'],
    [['switches' => ['Q9' => 1]], 'switches.Q9'],
    [['faults' => [['cause' => 'module_unpowered']]], 'faults.0.cause'],
    [['probes' => [1]], 'probes'],
    [['waves' => [-1]], 'waves.0'],
]);

it('plays a game to its end, and keeps it once it is over', function () {
    $ask = fn (array $moves, string $more = '', array $told = []) => $this->postJson("/api/v1/rigs/avocet/practice$more", ['seed' => '7', 'level' => 'plain', 'moves' => $moves, ...$told]);
    $begun = fittingScreen('practice', $ask([])->assertOk()->getContent());
    expect($begun->complaint)->toBe('A stick moves something else than it should.')->and($begun->review)->toBeNull();
    $ask([['test' => 'receiver_light']], '/look')->assertStatus(422)->assertJsonPath('error.path', 'moves');
    $ask([['test' => 'receiver_light']], '/keep')->assertStatus(422)->assertJsonPath('error.path', 'moves');
    $seen = fittingScreen('dry_bench_shown', $ask([['look' => true]], '/look', ['hands' => ['sticks' => ['A' => 50]]])->assertOk()->getContent());
    expect($seen->planned)->not->toBeNull();
    $over = fittingScreen('practice', $ask([['test' => 'order_after_radio'], ['name' => 'order_mismatch']])->assertOk()->getContent());
    expect($over->review->is_won)->toBeTrue()->and($over->review->truth[0]->id)->toBe('order_mismatch');

    $kept = $ask([['test' => 'order_after_radio'], ['name' => 'order_mismatch']], '/keep', ['player' => 'Wren'])->assertStatus(201)->json();
    expect((float) $kept['minutes'])->toBe(4.0)->and(PracticeGame::query()->count())->toBe(1)
        ->and($this->getJson('/api/v1/logbook')->json('entries.0.text'))->toContain('Practice by Wren')
        ->and($this->getJson('/api/v1/practice')->json('games.0.player'))->toBe('Wren');
    $before = $this->getJson('/api/v1/logbook')->json('entries.0.text');
    $ask([['give_up' => true]], '/keep')->assertStatus(201);
    expect($this->getJson('/api/v1/logbook')->json('entries.0.text'))->toBe($before)->and($this->getJson('/api/v1/practice')->json('games.0.is_won'))->toBeFalse();
});

it('refuses a game of what cannot be played', function () {
    $this->postJson('/api/v1/rigs/dunlin/practice', ['seed' => '1', 'moves' => []])->assertStatus(422)->assertJsonPath('error.path', 'rig');
    $this->postJson('/api/v1/rigs/avocet/practice', ['seed' => 'a b', 'moves' => []])->assertStatus(422)->assertJsonPath('error.path', 'seed');
    $this->postJson('/api/v1/rigs/avocet/practice', ['seed' => '1', 'level' => 'cruel', 'moves' => []])->assertStatus(422)->assertJsonPath('error.path', 'level');
    $this->postJson('/api/v1/rigs/nobody/practice', ['seed' => '1', 'moves' => []])->assertStatus(404);
});

it('plays itself on the command line, a line of JSON for every step', function () {
    $file = base_path('demo/rigs/avocet.yaml');
    Artisan::call('linguator:practice', ['--seed' => '7', '--rig' => $file, '--play' => 'auto']);
    $lines = array_map(json_decode(...), explode("\n", trim(Artisan::output())));
    expect($lines[0]->step)->toBe('complaint')->and(end($lines)->found)->toBe(['order_mismatch']);
    foreach ([['--seed' => 'a b', '--rig' => $file], ['--seed' => '1', '--rig' => '/nowhere'], ['--seed' => '1', '--rig' => $file, '--level' => 'x'], ['--seed' => '1', '--rig' => $file, '--play' => 'hand']] as $bad) {
        expect(Artisan::call('linguator:practice', $bad))->toBe(2)->and(json_decode(Artisan::output())->error->path)->not->toBeEmpty();
    }
});

it('lets samples be run and practised on where the bench is empty, and keeps nothing of them', function () {
    Rig::query()->delete();
    $samples = array_column($this->getJson('/api/v1/samples')->assertOk()->json('samples'), 'name', 'slug');
    expect($samples)->toHaveKey('~avocet', 'Avocet')->toHaveCount(5);
    foreach (array_keys($samples) as $slug) {
        fittingScreen('dry_bench', $this->getJson("/api/v1/rigs/$slug/dry-bench")->assertOk()->getContent());
        fittingScreen('dry_bench_shown', $this->postJson("/api/v1/rigs/$slug/dry-bench", ['sticks' => ['A' => 30]])->assertOk()->getContent());
    }
    fittingScreen('practice', $this->postJson('/api/v1/rigs/~avocet/practice', ['seed' => '7', 'moves' => [['change' => 'order']]])->assertOk()->getContent());
    $this->postJson('/api/v1/rigs/~avocet/practice/keep', ['seed' => '7', 'moves' => [['change' => 'order']], 'player' => 'Wren'])->assertNotFound();
    $this->getJson('/api/v1/rigs/~avocet')->assertNotFound();
    $this->getJson('/api/v1/rigs/xavocet/dry-bench')->assertNotFound();
    $this->getJson('/api/v1/rigs/~nothing/dry-bench')->assertNotFound()->assertJsonPath('error.code', 'not_found');
    expect(Rig::query()->count())->toBe(0)->and(PracticeGame::query()->count())->toBe(0);
});
