<?php

declare(strict_types=1);

use Linguator\Core\Tests\Answers;

it('answers whole as in the reviewed file', function (string $name, Closure $answer) {
    expect(Answers::text($answer()))->toBe((string) file_get_contents(Answers::file($name)));
})->with(function () {
    foreach (Answers::all() as $name => $answer) {
        yield $name => [$name, $answer];
    }
});

it('has a file for every answer and no other', function () {
    $files = array_map(fn (string $file): string => basename($file, '.json'), glob(dirname(Answers::file('x')).'/*.json'));
    expect($files)->toEqualCanonicalizing(array_keys(Answers::all()))->and(count($files))->toBeGreaterThan(30);
});
