<?php

declare(strict_types=1);

use App\Club\Passphrase;
use App\Club\Sessions;
use App\Http\Bench;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\RateLimiter;
use Symfony\Component\Process\Process;

beforeEach(function () {
    config(['linguator.club' => true, 'linguator.club_folder' => sys_get_temp_dir().'/linguator-club-'.bin2hex(random_bytes(4)), 'linguator.club_addresses' => 'http://192.0.2.7:8080 ']);
    RateLimiter::clear('club-sign-in:127.0.0.1');
    RateLimiter::clear('club-sign-in');
});
afterEach(fn () => File::deleteDirectory(config()->string('linguator.club_folder')));

function clubSignIn(string $passphrase, string $to = '/'): Illuminate\Testing\TestResponse
{
    return test()->call('POST', '/sign-in', ['passphrase' => $passphrase, 'to' => $to]);
}

it('shows and takes nothing before somebody has signed in', function () {
    $this->demo();
    Passphrase::here()->set('grey heron at dusk');
    $this->get('/rigs/dunlin/travel?x=1')->assertRedirect('/sign-in?to=%2Frigs%2Fdunlin%2Ftravel%3Fx%3D1');
    foreach ([['GET', 'rigs'], ['GET', 'rigs/dunlin/field-pack'], ['POST', 'rigs'], ['DELETE', 'rigs/dunlin'], ['POST', 'order'], ['GET', 'club'], ['POST', 'club/end']] as [$method, $address]) {
        $this->json($method, "/api/v1/$address", [])->assertUnauthorized()->assertJsonPath('error.code', 'sign_in');
    }
    $this->get('/sign-in')->assertOk()->assertSee('Passphrase')->assertDontSee('Dunlin');
});

it('lets in by the passphrase only, shows who is signed in, and out again', function () {
    $this->demo();
    Passphrase::here()->set('grey heron at dusk');
    clubSignIn('grey heron at dawn')->assertStatus(422)->assertSee('That is not it');
    $cookie = clubSignIn('grey heron at dusk', '/shelf')->assertRedirect('/shelf')->getCookie(Bench::clubCookie(), false);
    expect($cookie?->isHttpOnly())->toBeTrue()->and($cookie->getSameSite())->toBe('strict');
    $as = fn () => $this->withCredentials()->withUnencryptedCookie(Bench::clubCookie(), (string) $cookie->getValue());
    $as()->getJson('/api/v1/rigs')->assertOk();
    $club = $as()->getJson('/api/v1/club')->assertOk()->json();
    expect($club['is_club'])->toBeTrue()->and($club['addresses'])->toBe(['http://192.0.2.7:8080'])->and($club['sessions'])->toHaveCount(1)->and($club['sessions'][0]['is_own'])->toBeTrue();
    // What lies in the files opens nothing.
    expect($club['sessions'][0]['id'])->not->toBe($cookie->getValue());
    $this->withCredentials()->withUnencryptedCookie(Bench::clubCookie(), $club['sessions'][0]['id'])->getJson('/api/v1/rigs')->assertUnauthorized();
    $as()->postJson('/api/v1/club/sign-out', [])->assertOk();
    $as()->getJson('/api/v1/rigs')->assertUnauthorized();
});

it('ends the session of a lost phone from another one', function () {
    Passphrase::here()->set('grey heron at dusk');
    [$lost, $own] = [clubSignIn('grey heron at dusk')->getCookie(Bench::clubCookie(), false)?->getValue(), clubSignIn('grey heron at dusk')->getCookie(Bench::clubCookie(), false)?->getValue()];
    $this->withCredentials()->withUnencryptedCookie(Bench::clubCookie(), (string) $own)->postJson('/api/v1/club/end', ['id' => Sessions::id((string) $lost)])->assertOk()->assertJsonPath('ended', true);
    $this->withCredentials()->withUnencryptedCookie(Bench::clubCookie(), (string) $lost)->getJson('/api/v1/rigs')->assertUnauthorized();
    $this->withCredentials()->withUnencryptedCookie(Bench::clubCookie(), (string) $own)->getJson('/api/v1/rigs')->assertOk();
    $this->withCredentials()->withUnencryptedCookie(Bench::clubCookie(), (string) $own)->postJson('/api/v1/club/end', ['id' => '../../passphrase'])->assertOk()->assertJsonPath('ended', false);
    expect(Passphrase::here()->isSet())->toBeTrue();
});

it('takes five tries in a minute, then not even the right one', function () {
    Passphrase::here()->set('grey heron at dusk');
    foreach (range(1, 5) as $_) {
        clubSignIn('wrong')->assertStatus(422);
    }
    clubSignIn('grey heron at dusk')->assertStatus(429)->assertSee('Too many tries');
    $this->travel(61)->seconds();
    clubSignIn('grey heron at dusk')->assertRedirect('/');
});

it('leads to pages of this bench only', function (string $to, string $wanted) {
    Passphrase::here()->set('grey heron at dusk');
    clubSignIn('grey heron at dusk', $to)->assertRedirect($wanted);
})->with([['/rigs/x?y=1', '/rigs/x?y=1'], ['//elsewhere.example', '/'], ['https://elsewhere.example', '/'], ['/\\elsewhere.example', '/'], ["/a\nb", '/'], ['', '/']]);

it('keeps a passphrase as a hash for its owner only, and takes none that is short', function () {
    $passphrase = Passphrase::here();
    expect($passphrase->isSet())->toBeFalse()->and($passphrase->isIt(''))->toBeFalse()
        ->and($passphrase->set('eleven char'))->toContain('at least 12')->and($passphrase->set(str_repeat('x', 73)))->toContain('at most 72')
        ->and($passphrase->set('zwölf Zeichen'))->toBeNull()->and($passphrase->isIt('zwölf Zeichen'))->toBeTrue();
    $file = config()->string('linguator.club_folder').'/passphrase';
    expect((string) file_get_contents($file))->not->toContain('Zeichen')->and(fileperms($file) & 0777)->toBe(0600);
    $passphrase->clear();
    expect($passphrase->isIt('zwölf Zeichen'))->toBeFalse();
});

it('ends a session that nobody has used for a week, and any after a month', function () {
    $sessions = Sessions::here();
    $token = $sessions->begin('phone', '192.0.2.9', 1_000_000);
    expect($sessions->isOpen($token, 1_000_000 + 6 * 86_400))->toBeTrue()
        ->and($sessions->isOpen($token, 1_000_000 + 12 * 86_400))->toBeTrue()
        ->and($sessions->isOpen($token, 1_000_000 + 20 * 86_400))->toBeFalse();
    $used = $sessions->begin('phone', '192.0.2.9', 1_000_000);
    foreach (range(1, 6) as $k) {
        expect($sessions->isOpen($used, 1_000_000 + 5 * $k * 86_400))->toBe($k < 6);
    }
    expect($sessions->all(1_000_000 + 99 * 86_400))->toBe([])->and($sessions->isOpen('no token', 1))->toBeFalse();
});

it('is not there where the bench is this machine\'s own', function () {
    config(['linguator.club' => false]);
    $this->getJson('/api/v1/club')->assertOk()->assertJsonPath('is_club', false);
    $this->get('/sign-in')->assertRedirect('/');
    clubSignIn('anything at all')->assertRedirect('/');
});

it('does not open to a network without a passphrase', function (array $arguments, array $environment) {
    $folder = sys_get_temp_dir().'/linguator-open-'.bin2hex(random_bytes(4));
    mkdir($folder);
    $start = new Process(['bin/start', ...$arguments], base_path(), $environment + ['LINGUATOR_DB' => "$folder/bench.sqlite", 'APP_ENV' => 'production'], timeout: 60);
    expect($start->run())->toBe(1)->and($start->getErrorOutput())->toContain('only with a passphrase');
    File::deleteDirectory($folder);
})->with([
    'a club' => [['--club', '8097'], []],
    'another address' => [['8097'], ['LINGUATOR_HOST' => '0.0.0.0']],
]);

it('lies where no commit takes it', function () {
    $ignored = new Process(['git', 'check-ignore', '-q', 'storage/club/00000000/passphrase'], base_path());
    expect($ignored->run())->toBe(0);
});
