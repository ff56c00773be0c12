<?php

declare(strict_types=1);

use Illuminate\Contracts\Http\Kernel;
use Tests\Fuzz\Fuzz;

/** A slice of what bin/fuzz asks, with a seed of its own. */
it('answers what nobody should ask with a document or a sentence, soon and in little memory', function (string $kind, int $cases) {
    $this->demo();
    $fuzz = new Fuzz(app(Kernel::class), 28);
    $fuzz->run($kind, $cases);
    expect($fuzz->faults)->toBe([])->and($fuzz->cases)->toBe($cases);
})->with([['verbs', 900], ['cards', 250], ['formats', 200], ['live', 200], ['rigs', 100], ['captures', 80], ['archives', 40]]);
