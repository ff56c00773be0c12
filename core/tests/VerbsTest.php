<?php

declare(strict_types=1);

use Linguator\Core\Document\DocumentError;
use Linguator\Core\Document\Json;
use Linguator\Core\Document\Schemas;
use Linguator\Core\Format\FormatCards;
use Linguator\Core\Tests\FrameReader;
use Linguator\Core\Tests\Golden;
use Linguator\Core\Verb\Verbs;

/** @return array{raw: stdClass, flags: array<string, bool>} What a frame carries, as the worked cases list it. */
function readBack(string $format, string $hex): array
{
    $frame = (new FrameReader(FormatCards::get($format)))->read((string) hex2bin($hex));

    return ['raw' => (object) $frame->counts, 'flags' => $frame->flags];
}

/** What stands at a place of a document, such as `curve.0.us`. */
function data_at(mixed $document, string $path): mixed
{
    foreach (explode('.', $path) as $step) {
        $document = is_array($document) ? $document[(int) $step] : $document->{$step};
    }

    return $document;
}

it('answers the worked cases', function (string $verb, stdClass $case) {
    $schemas = new Schemas;
    $ask = fn () => isset($case->raw_in) ? (new Verbs($schemas))->askText($verb, $case->raw_in) : (new Verbs($schemas))->ask($verb, $case->in);
    if (isset($case->out->error_path)) {
        try {
            $ask();
        } catch (DocumentError $error) {
            expect($case->out->error_path === '*' || in_array($error->path, (array) $case->out->error_path, true))->toBeTrue("path was \"$error->path\"");
            expect($error->getMessage())->not->toBeEmpty();

            return;
        }
        test()->fail('Bad input was taken.');
    }
    $answer = Json::decode(Json::compact($ask()));
    $schemas->check($answer, "verbs/$verb.out.json");
    if (isset($case->out->decoded)) {
        $answer->decoded = array_map(fn (string $hex) => readBack($case->in->format, $hex), $answer->hex);
    }
    expect(Golden::difference($case->out, $answer, (array) ($case->tolerance ?? [])))->toBeNull();
})->with(fn () => Golden::cases('order', 'movement', 'power', 'plan', 'tune', 'thresholds', 'switch', 'pulse-train', 'latency', 'range', 'bind-ladder', 'failsafe', 'encode'));

it('answers the verbs without worked cases as their schemas say', function (string $verb, array $question, array $some) {
    $answer = Json::decode(Json::compact((new Verbs(new Schemas))->ask($verb, Json::decode(Json::compact($question)))));
    (new Schemas)->check($answer, "verbs/$verb.out.json");
    foreach ($some as $path => $value) {
        expect(data_at($answer, $path))->toBe($value);
    }
})->with([
    ['rates', ['rate_pct' => 100, 'expo_pct' => 10, 'us_per_100' => 512, 'centre' => 1500], ['full_us' => 2012.0, 'centre_gain' => 0.9, 'curve.0.stick_pct' => -100.0, 'curve.0.us' => 988.0]],
    ['percent', ['percent' => 100, 'from_us_per_100' => 512, 'to_us_per_100' => 400], ['percent' => 128.0]],
]);

it('finds a fault in a case, so that the comparison above means something', function () {
    $difference = Golden::difference((object) ['full_v' => 12.6, 'findings' => ['M2:fix']], ['full_v' => 12.7, 'findings' => []], []);
    expect($difference)->toContain('full_v');
    expect(Golden::difference((object) ['findings' => ['M2:fix']], ['findings' => [['code' => 'M2', 'severity' => 'check']]], []))->toContain('M2:fix');
});

it('refuses what is no document of a verb, with a place', function (string $verb, string $json, string $path) {
    expect(fn () => (new Verbs(new Schemas))->askText($verb, $json))
        ->toThrow(fn (DocumentError $error) => expect($error->path)->toBe($path));
})->with([
    'a list' => ['order', '[]', ''],
    'nothing' => ['order', '', ''],
    'a number beyond all bounds' => ['power', '{"pack":{"chemistry":"lipo","cells":2},"devices":[{"name":"a","min_v":1,"max_v":1e999}]}', 'devices.0.max_v'],
    'nesting without end' => ['order', str_repeat('[', 5000).str_repeat(']', 5000), ''],
    'an order of bytes that are no text' => ['order', "{\"handset\":\"A\xff\xfeT\",\"reader\":{\"kind\":\"pins\",\"order\":\"AETR\"}}", ''],
    'time that runs backwards' => ['movement', '{"log":[{"t_ms":5,"us":[1500]},{"t_ms":4,"us":[1500]}],"sequence":["T"]}', 'log.1.t_ms'],
    'the same stick twice' => ['movement', '{"log":[{"t_ms":5,"us":[1500]}],"sequence":["T","T"]}', 'sequence'],
    'a function beyond the channels' => ['plan', '{"shelf":[{"id":"h","kind":"handset","name":"H"},{"id":"c","kind":"servo_set","name":"C"}],"handset":"h","craft":"c","channels":4,"functions":[{"function":"arm","channel":5}]}', 'functions.0.channel'],
    'a craft that is a handset' => ['plan', '{"shelf":[{"id":"h","kind":"handset","name":"H"}],"handset":"h","craft":"h","channels":4}', 'craft'],
    'a box to go through that is not there' => ['plan', '{"shelf":[{"id":"h","kind":"handset","name":"H"},{"id":"c","kind":"servo_set","name":"C"}],"handset":"h","craft":"c","channels":4,"through":["x"]}', 'through.0'],
    'an id twice' => ['plan', '{"shelf":[{"id":"h","kind":"handset","name":"H"},{"id":"h","kind":"servo_set","name":"C"}],"handset":"h","craft":"h","channels":4}', 'shelf.1.id'],
]);
