<?php

declare(strict_types=1);

use App\Models\JournalEntry;
use App\Models\Role;
use App\People\Accounts;
use App\People\Totp;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

it('lets a viewer look, comment and approve, and nothing else', function (): void {
    $job = $this->job();
    $viewer = app(Accounts::class)->add($this->shop, Role::Viewer, 'Bell', 'bell', null);
    $this->signIn($viewer);
    $this->getJson("/api/jobs/{$job->id}")->assertOk();
    $this->postJson("/api/jobs/{$job->id}/comments", ['verdict' => 'approved'])->assertCreated()->assertJsonPath('verdict', 'approved')->assertJsonPath('revision', $job->head_id)->assertJsonPath('who', 'Bell');
    $this->postJson("/api/jobs/{$job->id}/comments", ['verdict' => 'change'])->assertUnprocessable()->assertJsonValidationErrors('text');
    $this->putJson("/api/jobs/{$job->id}/artwork", ['version' => 1, 'artwork' => $job->head->read()->toArray()])->assertForbidden();
    $this->postJson("/api/jobs/{$job->id}/exports")->assertForbidden();
    $this->deleteJson("/api/jobs/{$job->id}")->assertForbidden();
    $this->postJson('/api/people/invitations', ['role' => 'owner'])->assertForbidden();
    $this->getJson('/api/journal')->assertForbidden();
});

it('lets a maker make, and leaves people and journal to the owner', function (): void {
    $job = $this->job();
    $this->signIn(app(Accounts::class)->add($this->shop, Role::Maker, 'Moth', 'moth', null));
    $this->postJson("/api/jobs/{$job->id}/exports")->assertCreated();
    $this->getJson('/api/people')->assertForbidden();
    $this->getJson('/api/journal')->assertForbidden();
});

it('gives tokens that do what their scopes say, until they are taken back', function (): void {
    $job = $this->job();
    $token = (string) $this->postJson('/api/me/tokens', ['name' => 'nightly', 'scopes' => ['look']])->assertCreated()->json('secret');
    expect($token)->toContain('crow_');
    $id = $this->getJson('/api/me/tokens')->assertJsonPath('0.name', 'nightly')->assertJsonMissingPath('0.token')->json('0.id');
    $by = function () use ($token) {
        auth('web')->logout();
        auth()->forgetGuards();

        return $this->flushSession()->flushHeaders()->withToken($token);
    };
    $by()->getJson("/api/jobs/{$job->id}")->assertOk();
    expect($this->user->tokens()->sole()->last_used_at)->not->toBeNull();
    $by()->deleteJson("/api/jobs/{$job->id}")->assertForbidden();
    $by()->postJson('/api/me/tokens', ['name' => 'more', 'scopes' => ['change']])->assertForbidden();
    $by()->getJson('/api/people')->assertForbidden();
    $this->flushHeaders();
    $this->signIn($this->user)->deleteJson("/api/me/tokens/$id")->assertNoContent();
    $by()->getJson("/api/jobs/{$job->id}")->assertUnauthorized();
});

it('writes down who did what, and nothing takes that out again', function (): void {
    $job = $this->job();
    $this->postJson("/api/jobs/{$job->id}/undo", ['version' => 1])->assertOk();
    $this->deleteJson("/api/jobs/{$job->id}")->assertNoContent();
    $this->deleteJson('/api/jobs/99999')->assertNotFound();
    expect($this->getJson('/api/journal')->assertOk()->json('*.what'))->toBe(['jobs: throw away', 'sheet: step back'])
        ->and($this->getJson('/api/journal')->json('0'))->toMatchArray(['who' => 'Wren', 'where' => "job {$job->id}"]);
    // In transactions of their own, since what is refused ends one.
    expect(fn () => DB::transaction(fn () => JournalEntry::query()->update(['description' => 'nothing'])))->toThrow(QueryException::class)
        ->and(fn () => DB::transaction(fn () => JournalEntry::query()->delete()))->toThrow(QueryException::class)
        ->and(JournalEntry::query()->count())->toBe(2);
});

// RFC 6238, appendix B (SHA-1, the seed "12345678901234567890"), the last six of its eight digits.
it('computes one-time codes as RFC 6238 does', function (int $time, string $code): void {
    $secret = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ';
    expect(Totp::code($secret, intdiv($time, 30)))->toBe($code)->and(Totp::step($secret, $code, $time))->toBe(intdiv($time, 30))
        ->and(Totp::step($secret, $code, $time + 30))->toBe(intdiv($time, 30))->and(Totp::step($secret, $code, $time + 90))->toBeNull()
        ->and(Totp::step($secret, $code, $time, last: intdiv($time, 30)))->toBeNull();
})->with([[59, '287082'], [1111111109, '081804'], [1111111111, '050471'], [1234567890, '005924'], [2000000000, '279037'], [20000000000, '353130']]);

it('makes secrets of 160 bits', function (): void {
    expect(Totp::secret())->toMatch('/^[A-Z2-7]{32}$/')->not->toBe(Totp::secret())
        ->and(Totp::uri('GEZDGNBV', 'wren@quarry.test'))->toBe('otpauth://totp/Tall%20Crow%3Awren%40quarry.test?secret=GEZDGNBV&issuer=Tall+Crow&digits=6&period=30');
});
