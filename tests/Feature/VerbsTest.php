<?php

declare(strict_types=1);

use Linguator\Core\Verb\Verbs;

const ORDER_QUESTION = '{"handset":"AETR","reader":{"kind":"pins","order":"TAER"}}';

it('answers a script the same over HTTP and on the command line', function () {
    $answer = $this->raw('POST', 'order', ORDER_QUESTION)->assertOk()->getContent();
    $table = json_decode($answer, true)['fixes'][0]['table'];
    expect($table)->toBe([
        ['letter' => 'A', 'pin' => 1, 'label' => 'T'], ['letter' => 'E', 'pin' => 2, 'label' => 'A'],
        ['letter' => 'T', 'pin' => 3, 'label' => 'E'], ['letter' => 'R', 'pin' => 4, 'label' => 'R'],
    ]);

    $process = proc_open(['php', base_path('artisan'), 'linguator:order', '-'], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
    fwrite($pipes[0], ORDER_QUESTION);
    fclose($pipes[0]);
    $printed = stream_get_contents($pipes[1]);
    expect(proc_close($process))->toBe(0)->and(json_decode($printed, true))->toBe(json_decode($answer, true));
});

it('exits with 2 and an error document for bad input on the command line', function (string $input, string $path) {
    $process = proc_open(['php', base_path('artisan'), 'linguator:order', '-'], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
    fwrite($pipes[0], $input);
    fclose($pipes[0]);
    $printed = stream_get_contents($pipes[1]);
    expect(stream_get_contents($pipes[2]))->toBe('')->and(proc_close($process))->toBe(2);
    expect(json_decode($printed, true)['error']['path'])->toBe($path);
})->with([
    'a letter twice' => ['{"handset":"AETT","reader":{"kind":"pins","order":"TAER"}}', 'handset'],
    'no JSON at all' => ['moin', ''],
]);

it('says in JSON what is wrong, whatever the browser would rather have', function (string $method, string $address, string $body, int $status, string $code) {
    $answer = $this->raw($method, $address, $body)->assertStatus($status);
    expect($answer->headers->get('content-type'))->toStartWith('application/json');
    expect($answer->json('error.code'))->toBe($code)->and($answer->json('error.message'))->not->toBeEmpty();
    expect($answer->getContent())->not->toContain('.php')->not->toContain('#0');
})->with([
    'no verb of that name' => ['POST', 'conjure', '{}', 404, 'not_found'],
    'the wrong method' => ['GET', 'order', '', 405, 'method_not_allowed'],
    'half a document' => ['POST', 'order', '{"handset":', 422, 'not_json'],
    'a number beyond all bounds' => ['POST', 'power', '{"pack":{"chemistry":"lipo","cells":1e400},"devices":[]}', 422, 'not_finite'],
    'a rig that is not there' => ['GET', 'rigs/nowhere', '', 404, 'not_found'],
    'a card that is not there' => ['GET', 'shelf/nowhere', '', 404, 'not_found'],
]);

it('has schemas for what goes in and out of every verb', function () {
    expect(Verbs::all())->not->toBeEmpty();
    foreach (array_keys(Verbs::all()) as $verb) {
        foreach (['in', 'out'] as $side) {
            expect(base_path("core/schema/verbs/$verb.$side.json"))->toBeFile();
        }
        if ($verb !== Verbs::DECODE) {
            $this->raw('POST', $verb, '[]')->assertStatus(422)->assertJsonPath('error.path', '');
        }
    }
});
