<?php

declare(strict_types=1);

use App\Backup\Archive;
use App\Backup\Backup;
use App\Backup\BackupRefused;
use TallCrow\Tests\Fixtures;

/** A database with one table, and a process that writes to it without pause. */
function databaseAtWork(string $file): mixed
{
    $db = new SQLite3($file);
    $db->exec('PRAGMA journal_mode = WAL; CREATE TABLE saves (id INTEGER PRIMARY KEY, pair TEXT, other TEXT); CREATE TABLE jobs (id INTEGER PRIMARY KEY); INSERT INTO jobs VALUES (1)');
    $db->close();
    $code = sprintf('$d = new SQLite3(%s); $d->busyTimeout(9000); for ($i = 0; $i < 100000; $i++) { $r = bin2hex(random_bytes(400)); $d->exec("BEGIN IMMEDIATE; INSERT INTO saves (pair) VALUES (\'$r\'); UPDATE saves SET other = pair WHERE id = last_insert_rowid(); COMMIT"); }', var_export($file, true));
    $process = proc_open([PHP_BINARY, '-r', $code], [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes);
    $db = new SQLite3($file, SQLITE3_OPEN_READONLY);
    for ($tries = 0; $tries < 400 && $db->querySingle('SELECT count(*) FROM saves') < 20; $tries++) {
        usleep(50_000);
    }
    $db->close();

    return $process;
}

it('backs up a shop at work, opens the archive, and lays it out in an empty place', function (): void {
    $folder = Fixtures::temporary('backup');
    mkdir("$folder/shops/1/assets", 0o700, true);
    mkdir("$folder/shops/2/exports", 0o700, true);
    file_put_contents("$folder/shops/1/assets/moth.svg", 'moth');
    file_put_contents("$folder/shops/2/exports/5.png", 'moth');
    file_put_contents("$folder/shops/2/exports/6.png", 'kite');
    mkdir("$folder/shops/2/proofs", 0o700, true);
    file_put_contents("$folder/shops/2/proofs/".hash('sha256', 'receipt'), 'receipt');
    $writer = databaseAtWork("$folder/database.sqlite");
    try {
        $archive = Backup::make("$folder/database.sqlite", "$folder/shops", "$folder/out");
    } finally {
        proc_terminate($writer, 9);
        proc_close($writer);
    }
    expect(basename($archive))->toMatch('/^tall-crow-\d{4}-\d\d-\d\dT\d{6}Z\.zip$/')->and(fileperms($archive) & 0o777)->toBe(0o600)
        ->and(glob("$folder/out/*"))->toBe([$archive]);
    // The same content is held once: unzip lists the members.
    expect(substr_count(Fixtures::run(['unzip', '-l', $archive]), 'files/'))->toBe(3);

    expect(Archive::restore($archive, "$folder/new/database.sqlite", "$folder/new/shops"))->toBe(4)
        ->and(file_get_contents("$folder/new/shops/2/proofs/".hash('sha256', 'receipt')))->toBe('receipt')
        ->and(file_get_contents("$folder/new/shops/2/exports/5.png"))->toBe('moth');
    $restored = new SQLite3("$folder/new/database.sqlite");
    // Every save is there whole or not at all, and many are.
    expect($restored->querySingle('SELECT count(*) FROM saves'))->toBeGreaterThan(10)
        ->and($restored->querySingle('SELECT count(*) FROM saves WHERE pair <> other OR other IS NULL'))->toBe(0)
        ->and($restored->querySingle('SELECT count(*) FROM jobs'))->toBe(0);
    expect(fn () => Archive::restore($archive, "$folder/new/database.sqlite", "$folder/new/shops"))->toThrow(BackupRefused::class, 'nothing is yet');
});

it('trusts no archive that was changed, cut short, or names other places', function (Closure $spoil): void {
    $folder = Fixtures::temporary('backup');
    mkdir("$folder/shops/1/assets", 0o700, true);
    file_put_contents("$folder/shops/1/assets/moth.svg", 'moth');
    (new SQLite3("$folder/database.sqlite"))->exec('CREATE TABLE jobs (id INTEGER PRIMARY KEY)');
    $archive = Backup::make("$folder/database.sqlite", "$folder/shops", "$folder/out");
    $spoil($archive);
    expect(fn () => Archive::restore($archive, "$folder/new/database.sqlite", "$folder/new/shops"))->toThrow(BackupRefused::class, 'cannot be trusted')
        ->and(is_file("$folder/evil"))->toBeFalse();
})->with([
    'cut short' => [fn (string $path) => file_put_contents($path, substr((string) file_get_contents($path), 0, -60))],
    'a file changed' => [function (string $path): void {
        $zip = new ZipArchive;
        $zip->open($path);
        $zip->addFromString('files/'.hash('sha256', 'moth'), 'myth');
        $zip->close();
    }],
    'another place' => [function (string $path): void {
        $zip = new ZipArchive;
        $zip->open($path);
        $zip->addFromString('manifest.json', str_replace('1/assets/moth.svg', '../../evil', (string) $zip->getFromName('manifest.json')));
        $zip->close();
    }],
    'no archive' => [fn (string $path) => file_put_contents($path, 'moth')],
]);
