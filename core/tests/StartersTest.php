<?php

declare(strict_types=1);

use Linguator\Core\Document\Schemas;
use Linguator\Core\Gear\GearCard;
use Linguator\Core\Gear\Starter;
use Linguator\Core\Gear\Starters;

it('offers at least twelve generic cards to begin from, of every kind that people hold', function () {
    $all = Starters::all();
    expect(count($all))->toBeGreaterThanOrEqual(12)
        ->and(array_unique(array_map(fn (Starter $one): string => $one->title, $all)))->toHaveCount(count($all));
    $kinds = array_count_values(array_map(fn (Starter $one): string => $one->card->kind, $all));
    expect($kinds)->toHaveKeys(['handset', 'module', 'receiver', 'controller', 'servo_set'])->and($kinds['controller'])->toBeGreaterThanOrEqual(4);
});

it('makes each a card that the shelf takes, that names no family, and that says what to check', function (Starter $starter) {
    $card = (object) (['id' => 'mine', 'name' => 'Mine'] + get_object_vars($starter->card));
    $read = GearCard::of((new Schemas)->check($card, 'gear-card.schema.json'));
    expect($read->box()->name())->toBe('Mine')
        ->and(json_encode($card))->not->toContain('"family"')
        ->and($starter->check)->not->toBe([])
        ->and($read->node()->text('notes'))->toStartWith("Begun from: $starter->title. To check: ")->toContain($starter->check[0]);
})->with(fn () => array_combine(array_map(fn (Starter $one): string => $one->title, Starters::all()), array_map(fn (Starter $one): array => [$one], Starters::all())));
