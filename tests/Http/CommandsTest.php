<?php

declare(strict_types=1);

use App\Models\Pass;
use App\Models\PassKind;
use App\Models\Role;
use App\Models\Shop;
use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Hash;
use Symfony\Component\Process\Process;
use TallCrow\Tests\Fixtures;

/** Runs a command of the application in a process of its own, on a database of its own. */
function artisan(string $folder, array $words, string $typed = ''): Process
{
    $process = new Process([PHP_BINARY, base_path('artisan'), ...$words], base_path(), [
        'DB_CONNECTION' => 'sqlite', 'DB_DATABASE' => "$folder/database.sqlite", 'CROW_STORAGE' => "$folder/shops", 'APP_CONFIG_CACHE' => "$folder/config.php", 'APP_ROUTES_CACHE' => "$folder/routes.php",
        'APP_EVENTS_CACHE' => "$folder/events.php", 'CROW_LOGS' => $folder, 'APP_ENV' => 'production', 'ARGON_MEMORY' => '1024', 'ARGON_TIME' => '1', 'CACHE_STORE' => 'array', 'LOG_CHANNEL' => 'daily',
    ], $typed);
    $process->run();

    return $process;
}

it('gives an owner a password from a pipe, and says whether anybody has one', function (): void {
    $folder = Fixtures::temporary('owner');
    touch("$folder/database.sqlite");
    expect(artisan($folder, ['migrate', '--force', '--quiet'])->isSuccessful())->toBeTrue();
    expect(artisan($folder, ['crow:owner', '--check'])->isSuccessful())->toBeFalse();
    $short = artisan($folder, ['crow:owner', 'Wren', '--shop=Lantern & Rook'], "short\n");
    expect($short->isSuccessful())->toBeFalse()->and($short->getOutput())->toContain('12 to 200 characters');
    $made = artisan($folder, ['crow:owner', 'Wren', '--shop=Lantern & Rook'], "four kites over the quarry\n");
    expect($made->getOutput())->toContain('wren is an owner of Lantern & Rook')->and(artisan($folder, ['crow:owner', '--check'])->isSuccessful())->toBeTrue();
    $row = (new PDO("sqlite:$folder/database.sqlite"))->query('SELECT login, role, password FROM users')->fetchAll(PDO::FETCH_ASSOC);
    expect($row)->toHaveCount(1)->and($row[0]['role'])->toBe('owner')->and(password_verify('four kites over the quarry', $row[0]['password']))->toBeTrue();
    // Again for the same name it is a new password, not a second owner.
    artisan($folder, ['crow:owner', 'wren'], "five kites over the quarry\n");
    $again = (new PDO("sqlite:$folder/database.sqlite"))->query('SELECT password FROM users')->fetchAll(PDO::FETCH_COLUMN);
    expect($again)->toHaveCount(1)->and(password_verify('five kites over the quarry', $again[0]))->toBeTrue();
});

it('asks for a name of some length', function (): void {
    $this->artisan('crow:owner', ['login' => 'w'])->expectsOutputToContain('bin/artisan crow:owner NAME')->assertFailed();
});

it('makes a link for the oldest owner, whose secret is kept as a hash', function (): void {
    User::query()->create(['shop_id' => $this->shop->id, 'role' => Role::Viewer, 'name' => 'Bell', 'login' => 'bell']);
    expect(Artisan::call('crow:link', ['--url' => 'http://127.0.0.1:8400']))->toBe(0);
    $link = trim(Artisan::output());
    expect($link)->toMatch('~^http://127\.0\.0\.1:8400/enter/[\w-]{32}$~');
    $pass = Pass::query()->sole();
    expect($pass->kind)->toBe(PassKind::Entry)->and($pass->user_id)->toBe($this->user->id)->and($pass->hash)->toBe(hash('sha256', basename($link)))
        ->and($pass->expires_at->isBetween(now()->addHours(11), now()->addHours(13)))->toBeTrue();
});

it('has no link to make where nobody is an owner', function (): void {
    User::query()->delete();
    $this->artisan('crow:link')->expectsOutputToContain('has no owner yet')->assertFailed();
});

it('goes through all migrations back and forth, and leaves nothing behind', function (): void {
    $folder = Fixtures::temporary('migrations');
    touch("$folder/database.sqlite");
    $tables = fn (): array => (new PDO("sqlite:$folder/database.sqlite"))->query("SELECT name FROM sqlite_master WHERE type IN ('table', 'trigger') AND name NOT LIKE 'sqlite_%' ORDER BY 1")->fetchAll(PDO::FETCH_COLUMN);
    expect(artisan($folder, ['migrate', '--force'])->isSuccessful())->toBeTrue();
    $all = $tables();
    expect($all)->toContain('journal', 'journal_no_delete', 'users', 'answered_saves');
    $back = artisan($folder, ['migrate:rollback', '--force', '--step=99']);
    expect($back->isSuccessful())->toBeTrue($back->getOutput())->and($tables())->toBe(['migrations']);
    expect(artisan($folder, ['migrate', '--force'])->isSuccessful())->toBeTrue()->and($tables())->toBe($all);
});

it('backs nothing up that is not there, and says what to name', function (): void {
    $folder = Fixtures::temporary('backup');
    $said = artisan($folder, ['crow:backup', "$folder/out"]);
    expect($said->isSuccessful())->toBeFalse()->and($said->getOutput())->toContain('CROW_DATA=FOLDER');
    $checked = artisan($folder, ['crow:backup', "$folder/none.zip", '--check']);
    expect($checked->isSuccessful())->toBeFalse()->and($checked->getOutput())->toContain('cannot be trusted');
});

it('never shows a password or a secret of codes, whatever is asked for', function (): void {
    $this->user->update(['password' => Hash::make('four kites over the quarry'), 'totp_secret' => 'GEZDGNBVGY3TQOJQ']);
    foreach (['me', 'people', 'journal', 'me/tokens', 'jobs', 'assets', 'areas', 'catalogue'] as $path) {
        expect((string) $this->getJson("/api/$path")->assertOk()->getContent())->not->toContain('argon2')->not->toContain('GEZDGNBVGY3TQOJQ');
    }
    expect($this->user->fresh()?->toArray())->not->toHaveKeys(['password', 'totp_secret'])->and(Shop::query()->count())->toBe(1);
});
