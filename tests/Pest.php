<?php

declare(strict_types=1);

use Linguator\Core\Document\Schemas;
use Tests\TestCase;

pest()->extend(TestCase::class)->in('Feature');

/** Held against what the screens' schema says of it. */
function fittingScreen(string $name, string $body): stdClass
{
    $answer = json_decode($body);
    (new Schemas)->check((object) [$name => $answer], 'screens.schema.json');

    return $answer;
}
