<?php

declare(strict_types=1);

use App\Models\Asset;
use Illuminate\Http\UploadedFile;
use TallCrow\Tests\Fixtures;

function upload_of(string $name, string $bytes): UploadedFile
{
    return UploadedFile::fake()->createWithContent($name, $bytes);
}

it('takes fonts and pictures with their licence', function (string $file, string $kind, string $title): void {
    $answer = $this->post('/api/assets', ['file' => upload_of($file, (string) file_get_contents(Fixtures::assets().'/'.$file)), 'licence' => 'CC0-1.0', 'author' => 'The kite society', 'held' => '1']);
    $answer->assertCreated()->assertJson([['kind' => $kind, 'title' => $title, 'file' => $file, 'licence' => ['name' => 'CC0-1.0', 'author' => 'The kite society']]]);
    $this->get("/api/assets/{$answer->json('0.id')}/preview.png?text=Kites")->assertOk()->assertHeader('Content-Type', 'image/png');
})->with([
    ['rye.woff2', 'font', 'Rye'], ['moth.svg', 'art', 'moth'], ['rock-pool.png', 'art', 'rock-pool'],
]);

it('tells what a variable font varies in, also of one that was on the shelf before', function (): void {
    $answer = $this->post('/api/assets', ['file' => upload_of('anybody.woff2', (string) file_get_contents(Fixtures::assets().'/anybody.woff2')), 'licence' => 'OFL-1.1', 'held' => '1']);
    $answer->assertCreated()->assertJson([['title' => 'Anybody Thin', 'varies' => ['width', 'weight']]]);
    $this->shelve('anton.woff2');
    expect($this->getJson("/api/assets/{$answer->json('0.id')}")->assertOk()->json('font.axes.1'))->toEqual(['tag' => 'wght', 'name' => 'weight', 'least' => 100, 'usual' => 100, 'most' => 900]);

    $migration = require database_path('migrations/2026_12_01_000001_tell_what_fonts_vary.php');
    $migration->down();
    $migration->up();
    expect(Asset::query()->orderBy('file')->get()->map(fn (Asset $asset): array => $asset->varies)->all())->toBe([[], ['width', 'weight']]);
});

it('gives each piece a name of its own', function (): void {
    $svg = (string) file_get_contents(Fixtures::assets().'/moth.svg');
    foreach (['moth.svg', 'moth-2.svg', 'moth-3.svg'] as $file) {
        $this->post('/api/assets', ['file' => upload_of('Moth!.svg', $svg), 'licence' => 'own', 'held' => '1'])->assertCreated()->assertJsonPath('0.file', $file);
    }
});

it('asks for the licence and the seller\'s word', function (): void {
    $file = upload_of('moth.svg', (string) file_get_contents(Fixtures::assets().'/moth.svg'));
    $this->postJson('/api/assets', ['file' => $file, 'licence' => '', 'held' => '0'])->assertUnprocessable()
        ->assertJsonPath('errors.licence.0', 'Name the licence under which you hold this file.')
        ->assertJsonPath('errors.held.0', 'Confirm that you hold the right to use this file.');
    $this->assertDatabaseCount('assets', 0);
});

it('refuses hostile files with the reason, and keeps nothing of them', function (string $name, string $bytes, string $says): void {
    $answer = $this->post('/api/assets', ['file' => upload_of($name, $bytes), 'licence' => 'own', 'held' => '1'])->assertUnprocessable();
    expect($answer->json('message'))->toContain($says);
    $this->assertDatabaseCount('assets', 0);
    expect(glob($this->shop->folder('assets').'/*'))->toBe([]);
})->with([
    'a program' => ['kite.png', "\x7fELF\2\1\1", 'not a PNG, JPEG, WebP or SVG'],
    'php' => ['kite.php', '<?php system($_GET["x"]);', 'not a PNG, JPEG, WebP or SVG'],
    'entities' => ['kite.svg', '<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY a SYSTEM "file:///etc/passwd">]><svg viewBox="0 0 1 1">&a;</svg>', 'declares entities'],
    'a font too large to be used' => ['kite.otf', fn () => 'OTTO'.str_repeat("\0", 30_000_001), '"kite.otf" is larger than 30 MB'],
    'broken font' => ['kite.otf', "OTTO\0\1\0\0", 'FreeType says'],
    'a font of an older format' => ['kite.pfb', "\x80\x01\x10\0\0\0%!PS-AdobeFont-1.0: Kite\n", 'older format'],
    'fonts in one file' => ['kites.ttc', "ttcf\0\1\0\0\0\0\0\2".str_repeat("\0", 40), 'several fonts in one'],
    'fonts in one packed file' => ['kites.woff2', "wOF2ttcf\0\0\1\0".str_repeat("\0", 40), 'as a file of its own'],
    'the same as text' => ['kite.pfa', "%!PS-AdobeFont-1.0: Kite\n", 'OTF, TTF, WOFF or WOFF2'],
    'a drawing without a size' => ['kite.svg', '<svg xmlns="http://www.w3.org/2000/svg" width="100%"><path d="M0 0h9"/></svg>', 'it has no size'],
    'cut short' => ['kite.png', fn () => substr((string) file_get_contents(Fixtures::assets().'/rock-pool.png'), 0, 9000), 'cannot be read to its end'],
]);

it('keeps of a drawing only what was cleaned', function (): void {
    $this->post('/api/assets', ['file' => upload_of('k.svg', '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9" onload="x()"><script>x()</script><path d="M0 0h9v9z"/></svg>'), 'licence' => 'own', 'held' => '1'])->assertCreated();
    expect((string) file_get_contents($this->shop->folder('assets').'/k.svg'))->not->toContain('script', 'onload')->toContain('M0 0h9v9z');
});

it('shows words in a font that lacks some of their letters', function (): void {
    $this->shelve('alfa-slab-one.woff2');
    $this->get("/api/assets/{$this->shop->assets()->first()->id}/preview.png?text=".urlencode('Kite ж'))->assertOk();
});
