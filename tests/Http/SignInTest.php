<?php

declare(strict_types=1);

use App\Models\PassKind;
use App\Models\Role;
use App\Models\User;
use App\People\Accounts;
use App\People\Passes;
use App\People\Totp;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

const WORDS = 'four kites over the quarry';

beforeEach(function (): void {
    config(['hashing.argon.memory' => 1024, 'hashing.argon.time' => 1]);
    Cache::flush();
});

function outside(): object
{
    auth('web')->logout();
    auth()->forgetGuards();

    return test()->flushSession()->withSession(['_token' => 'of-the-page']);
}

/** @param  array<string, string>  $more */
function tryIn(string $login = 'wren', string $password = WORDS, array $more = []): TestResponse
{
    return outside()->postJson('/api/session', ['login' => $login, 'password' => $password] + $more);
}

it('lets in by name and password, and out again', function (): void {
    $this->user->update(['password' => WORDS]);
    tryIn(' WREN ')->assertOk()->assertJsonPath('role', 'owner')->assertJsonPath('shop', 'Lantern & Rook')->assertJsonMissingPath('secret');
    $this->withHeader('X-CSRF-TOKEN', session()->token())->getJson('/api/me')->assertOk()->assertJsonPath('name', 'Wren');
    $this->deleteJson('/api/session')->assertNoContent();
    auth()->forgetGuards();
    $this->getJson('/api/me')->assertUnauthorized();
});

it('says on the page who is signed in, and to nobody else', function (): void {
    $this->user->update(['name' => 'Wren "the <b>kite</b>"']);
    $told = function (): ?array {
        $page = (string) $this->get('/calendar')->assertOk()->getContent();

        return preg_match('/<meta name="me" content="([^"]*)">/', $page, $found) === 1 ? json_decode(html_entity_decode($found[1], ENT_QUOTES | ENT_HTML5), true, flags: JSON_THROW_ON_ERROR) : null;
    };
    expect($this->get('/')->getContent())->not->toContain('<b>kite')
        ->and($told())->toBe($this->getJson('/api/me')->assertOk()->json())->and($told()['name'] ?? '')->toBe('Wren "the <b>kite</b>"');
    // A session that was ended from another place, and one that never began.
    $this->user->increment('session_era');
    expect($told())->toBeNull();
    outside();
    expect($told())->toBeNull();
});

it('keeps passwords as Argon2id', function (): void {
    $this->user->update(['password' => WORDS]);
    expect((string) DB::table('users')->value('password'))->toStartWith('$argon2id$');
});

it('says the same of a wrong name, a wrong password and an account without one', function (): void {
    app(Accounts::class)->add($this->shop, Role::Maker, 'Moth', 'moth', WORDS);
    $said = array_map(fn (TestResponse $answer): array => [$answer->status(), $answer->json('message')], [tryIn('nobody'), tryIn('moth', 'wrong words in a row'), tryIn('wren')]);
    expect(array_unique($said, SORT_REGULAR))->toHaveCount(1)->and($said[0][0])->toBe(422);
});

it('slows down who guesses, by name and by address, each failure doubling the wait', function (): void {
    $this->user->update(['password' => WORDS]);
    // The clock of a cache that is a server of its own cannot be moved: there, time passes.
    $later = fn (int $seconds) => config('cache.default') === 'array' ? $this->travel($seconds)->seconds() : sleep($seconds);
    foreach (range(1, 4) as $_) {
        tryIn(password: 'wrong')->assertStatus(422);
    }
    tryIn(password: 'wrong')->assertStatus(422);
    tryIn()->assertStatus(429)->assertHeader('Retry-After');
    $later(3);
    tryIn(password: 'wrong')->assertStatus(422);
    $later(3);
    tryIn()->assertStatus(429);
    $later(2);
    tryIn()->assertOk();
});

it('asks for the code of a phone that was set up, and takes each once', function (): void {
    $this->user->update(['password' => WORDS]);
    $secret = (string) $this->postJson('/api/me/codes', ['current' => WORDS])->assertOk()->json('secret');
    $this->putJson('/api/me/codes', ['code' => '000000'])->assertUnprocessable();
    $code = fn (int $steps = 0): string => Totp::code($secret, intdiv(time(), 30) + $steps);
    $this->putJson('/api/me/codes', ['code' => $code(-1)])->assertOk()->assertJsonPath('codes', true);
    tryIn()->assertUnprocessable()->assertJsonPath('code', true);
    tryIn(more: ['code' => $code(-1)])->assertUnprocessable();
    $shown = $code();
    tryIn(more: ['code' => $shown])->assertOk();
    tryIn(more: ['code' => $shown])->assertUnprocessable();
    expect((string) DB::table('users')->value('totp_secret'))->not->toContain($secret);
});

it('refuses passwords that are short, common, or the name again', function (string $password): void {
    $this->putJson('/api/me/password', ['password' => $password])->assertUnprocessable()->assertJsonValidationErrors('password');
})->with(['short' => 'kite day', 'common' => 'passwordpassword', 'common with digits' => 'password123456', 'few characters' => 'ababababababab', 'the name' => 'wren-wren-wren']);

it('takes a new password only with the present one, and ends every other session', function (): void {
    $this->putJson('/api/me/password', ['password' => WORDS])->assertOk();
    $this->withHeader('X-CSRF-TOKEN', session()->token())->putJson('/api/me/password', ['password' => 'another four words here'])->assertUnprocessable();
    $this->withHeader('X-CSRF-TOKEN', session()->token())->putJson('/api/me/password', ['password' => 'another four words here', 'current' => WORDS])->assertOk();
    auth()->forgetGuards();
    $this->withSession(['era' => 0])->getJson('/api/me')->assertUnauthorized();
});

it('ends all sessions of a person at once', function (): void {
    $this->postJson('/api/me/sign-out-everywhere')->assertNoContent();
    $this->signIn($this->user)->withSession(['era' => 0])->getJson('/api/me')->assertUnauthorized();
    // A token that is none beside the cookie opens nothing either.
    $this->signIn($this->user)->withSession(['era' => 0])->withToken('none')->getJson('/api/me')->assertUnauthorized();
});

it('opens the demo by a link once, on this machine alone', function (): void {
    $pass = app(Passes::class)->make($this->shop, PassKind::Entry, $this->user);
    outside()->withServerVariables(['REMOTE_ADDR' => '10.0.0.7', 'HTTP_HOST' => '127.0.0.1'])->postJson('/api/session/enter', ['pass' => $pass])->assertForbidden();
    outside()->withServerVariables(['REMOTE_ADDR' => '127.0.0.1', 'HTTP_HOST' => '127.0.0.1'])->postJson('/api/session/enter', ['pass' => $pass])->assertOk()->assertJsonPath('login', 'wren');
    outside()->postJson('/api/session/enter', ['pass' => $pass])->assertUnprocessable();
});

it('takes somebody in by an invitation, once, for a week, with its role', function (): void {
    $link = (string) $this->postJson('/api/people/invitations', ['role' => 'viewer'])->assertCreated()->json('secret');
    $pass = basename($link);
    $join = ['pass' => $pass, 'name' => 'Bell', 'login' => 'bell@quarry.test', 'password' => WORDS];
    outside()->postJson('/api/session/join', ['login' => 'wren'] + $join)->assertUnprocessable()->assertJsonValidationErrors('login');
    outside()->postJson('/api/session/join', $join)->assertOk()->assertJsonPath('role', 'viewer');
    outside()->postJson('/api/session/join', ['login' => 'again'] + $join)->assertUnprocessable();
    $this->signIn($this->user);
    $late = basename((string) $this->postJson('/api/people/invitations', ['role' => 'maker'])->json('secret'));
    $this->travel(8)->days();
    outside()->postJson('/api/session/join', ['pass' => $late, 'login' => 'late'] + $join)->assertUnprocessable();
});

it('sets a new password by a code that the owner gives', function (): void {
    $moth = app(Accounts::class)->add($this->shop, Role::Maker, 'Moth', 'moth', WORDS);
    $pass = basename((string) $this->postJson("/api/people/{$moth->id}/reset")->assertCreated()->json('secret'));
    outside()->postJson('/api/session/reset', ['pass' => $pass, 'login' => 'wren', 'password' => 'new words for a moth'])->assertUnprocessable();
    outside()->postJson('/api/session/reset', ['pass' => $pass, 'login' => 'moth', 'password' => 'new words for a moth'])->assertOk();
    tryIn('moth')->assertUnprocessable();
    tryIn('moth', 'new words for a moth')->assertOk();
});

it('keeps of passes only a hash', function (): void {
    $pass = app(Passes::class)->make($this->shop, PassKind::Entry, $this->user);
    expect(json_encode(DB::table('passes')->get()))->not->toContain($pass);
});

it('leaves the shop an owner', function (): void {
    $this->putJson("/api/people/{$this->user->id}", ['role' => 'maker'])->assertUnprocessable();
    $this->deleteJson("/api/people/{$this->user->id}")->assertUnprocessable();
    $second = app(Accounts::class)->add($this->shop, Role::Owner, 'Second', 'second', null);
    $this->putJson("/api/people/{$this->user->id}", ['role' => 'maker'])->assertOk()->assertJsonPath('role', 'maker');
    $this->signIn($this->user->refresh())->deleteJson("/api/people/{$second->id}")->assertForbidden();
    expect(User::query()->count())->toBe(2);
});
