<?php

declare(strict_types=1);

use App\Models\Card;
use App\Models\Rig;
use App\Models\RigEntry;
use Illuminate\Support\Facades\Route;

/** Bodies that no screen sends: of the wrong kind, at every place a controller looks. */
const HOSTILE = [
    '', 'null', '[]', '"text"', '{', '{"revision":null}', '{"revision":"1"}', '{"revision":1e308}', '{"revision":-1}',
    '{"revision":REV}',
    '{"revision":REV,"text":[],"set":[],"clear":{}}',
    '{"revision":REV,"text":"x","set":{"settings.channels":"all","chain":{}},"clear":[1]}',
    '{"revision":REV,"text":"x","set":{"settings.order":null,"craft.functions":[null]}}',
    '{"revision":REV,"text":"x","set":{"name":""}}',
    '{"revision":REV,"hop":"1","mode":[],"set_by":{},"stored_us":"low","passed":"yes","observed":7}',
    '{"revision":REV,"hop":1e9,"mode":"stored","set_by":"handset","stored_us":["a",{},null,1e9]}',
    '{"revision":REV,"check":{},"passed":1,"by":[],"note":{}}',
    '{"revision":REV,"channel":"3","channels":[null,"x",1e9],"drafts":[1],"us":["a"],"lo":{},"mid":[],"hi":"z","readings":[[]]}',
    '{"revision":REV,"drafts":{"1":{"lo":"a","mid":null,"hi":[]},"-1":{},"x":3}}',
    '{"revision":REV,"entry":"first","variant":7,"distance_m":"far","bound":"maybe","attempts":{}}',
    '{"revision":REV,"log":"t_ms,ch1","csv":7,"sequence":"TREA","seen":[[]],"moved":{}}',
    '{"name":{},"craft_kind":7,"text":[],"left":[],"card":"receiver","replace":"no"}',
    '{"card":{"id":"../etc","kind":"receiver","name":"x"},"revision":REV,"yaml":5}',
    '{"target":"format/","aliases":"many","kind":[],"names":{}}',
    '{"options":"all","index":"first","from_us":[],"to_us":{},"as":7,"use":[],"hex":"zz","port":"x","progress":{},"token":[],"stand_in":7,"kind":{},"sample":[]}',
    '{"options":{"as":"nope","line":7,"frames":-1},"index":-5,"from_us":5,"to_us":5,"as":"../x","use":"travel","capture":999999,"hex":"0f0","port":70000,"sample":"../../etc/passwd"}',
    '{"options":{"kind":"wav"},"index":99999999,"from_us":-1e300,"to_us":1e300,"as":"bin","format":"nope","use":"failsafe","capture":1,"hop":9,"revision":REV,"a":{"id":1,"options":7},"b":[]}',
    '{"rig":null,"from":[],"chain":"x","receiver":{},"relay":7,"cards":[[]],"through":[{}],"allow_relay":"yes"}',
];

it('answers what nobody should send with a sentence, and changes nothing', function () {
    $this->demo();
    // Three of the bodies make a sound note; a note is all that may be added.
    $there = fn (): array => [Rig::query()->count(), RigEntry::query()->where('kind', '!=', 'note')->count(), Card::query()->count()];
    $before = $there();
    $capture = $this->postJson('/api/v1/captures', ['sample' => 'dunlin-serial.csv'])->json('id');
    $asked = 0;
    foreach (array_filter(iterator_to_array(Route::getRoutes()), static fn ($route): bool => str_starts_with($route->uri(), 'api/')) as $route) {
        foreach (array_diff($route->methods(), ['GET', 'HEAD', 'OPTIONS', 'DELETE']) as $method) {
            $address = '/'.strtr($route->uri(), ['{rig}' => 'avocet', '{card}' => 'tarn-t7', '{position}' => '2', '{attachment}' => '1', '{verb}' => 'order', '{format}' => 'json', '{capture}' => (string) $capture]);
            foreach (HOSTILE as $body) {
                $body = str_replace('REV', (string) Rig::query()->where('slug', 'avocet')->value('revision'), $body);
                $answer = $this->call($method, $address, server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: $body);
                expect($answer->status())->toBeIn([200, 201, 422, 409, 404], "$method $address took $body with {$answer->status()}: ".substr($answer->getContent(), 0, 200));
                if ($answer->status() >= 400) {
                    expect($answer->json('error.message'))->toBeString()->not->toBeEmpty();
                }
                $asked++;
            }
        }
    }
    expect($asked)->toBeGreaterThan(400);
    expect($there())->toBe($before);
});

it('answers any address with a page, a document or a sentence', function (string $address) {
    $this->demo();
    $answer = $this->get($address, ['Accept' => 'application/json']);
    expect($answer->status())->toBeIn([200, 404, 422]);
})->with([
    '/api/v1/search', '/api/v1/search?q[]=a', '/api/v1/search?q=%00', '/api/v1/search?q='.str_repeat('x+', 500), '/api/v1/logbook?q[]=a', '/api/v1/logbook?page[]=1', '/api/v1/logbook?page=99999999999999999999',
    '/api/v1/logbook?rig=nobody', '/api/v1/logbook?kind=%27%3B--', '/api/v1/logbook?q=%25_%5C', '/api/v1/rigs/avocet/at/99999999999999999999', '/api/v1/rigs/avocet/compare?then[]=1', '/api/v1/rigs/avocet/compare?then=-1&now=-1',
    '/api/v1/captures/99999999999999999999', '/api/v1/captures/progress?token[]=1', '/api/v1/formats/none.yaml', '/api/v1/attachments/99999999999999999999', '/api/v1/rigs/%2e%2e', '/api/v1/shelf/none.yaml', '/api/v1/rigs/none.json', '/nowhere/at/all',
]);
