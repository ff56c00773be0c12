<?php

declare(strict_types=1);

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Tests\Answers;

/** What a screen would find wrong with an answer: null, or the place and what is wrong there. */
function misfit(string $screen, mixed $answer): ?string
{
    try {
        (new Schemas)->check((object) [$screen => json_decode((string) json_encode($answer, JSON_PRESERVE_ZERO_FRACTION))], 'screens.schema.json');
    } catch (DocumentError $error) {
        return "$error->path: {$error->getMessage()}";
    }

    return null;
}

it('gives the screens of a rig what their schema says', function (string $name, Closure $answer) {
    $rig = json_decode((string) file_get_contents(Answers::file('rig-blank')));
    expect(misfit('rig', (object) [
        'slug' => 'x', 'revision' => 1, 'document' => (object) ['linguator' => 1, 'name' => 'x', 'craft' => (object) ['kind' => 'plane'], 'chain' => [], 'settings' => new stdClass],
        'review' => $answer(), 'history' => [], 'history_total' => 0, 'undo' => null, 'newer_cards' => [], 'shares_memory_with' => [], 'attachments' => [],
    ]))->toBeNull();
})->with(function () {
    foreach (Answers::rigs() as $name => $answer) {
        yield $name => [$name, $answer];
    }
});
