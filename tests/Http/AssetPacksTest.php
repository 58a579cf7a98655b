<?php

declare(strict_types=1);

use Illuminate\Http\UploadedFile;
use TallCrow\Tests\Fixtures;

/** @param  array<string, string>  $files  contents by name */
function zip_of(array $files, ?string $password = null): UploadedFile
{
    $path = Fixtures::temporary('zip').'/pack.zip';
    $zip = new ZipArchive;
    $zip->open($path, ZipArchive::CREATE);
    foreach ($files as $name => $content) {
        $zip->addFromString($name, $content);
        if ($password !== null) {
            $zip->setEncryptionName($name, ZipArchive::EM_AES_256, $password);
        }
    }
    $zip->close();

    return UploadedFile::fake()->createWithContent('Kite Varsity.zip', (string) file_get_contents($path));
}

function font_bytes(string $name = 'graduate'): string
{
    return (string) file_get_contents(Fixtures::assets()."/$name.woff2");
}

const ABOUT = ['licence' => 'bought for the shop', 'held' => '1', 'genre' => 'collegiate'];

it('takes every cut of a pack, and knows which is which', function (): void {
    $pack = zip_of(['Kite/Kite-Regular.woff2' => font_bytes(), 'Kite/Kite-Outline.woff2' => font_bytes('rye'), 'Kite/Kite-Shadow.woff2' => font_bytes('anton'), 'Kite/licence.txt' => 'yes', '__MACOSX/._Kite.otf' => 'x']);
    $answer = $this->post('/api/assets', ['file' => $pack] + ABOUT)->assertCreated();
    expect(array_map(fn (array $a): array => [$a['title'], $a['cut'], $a['pack'], $a['genre']], $answer->json()))->toBe([
        ['Graduate', 'fill', 'Kite Varsity', 'collegiate'], ['Rye', 'outline', 'Kite Varsity', 'collegiate'], ['Anton', 'shadow', 'Kite Varsity', 'collegiate'],
    ])->and($answer->json('0.features'))->toBeArray();
});

it('refuses a hostile pack whole, with the reason', function (Closure $file, string $says): void {
    $answer = $this->post('/api/assets', ['file' => $file()] + ABOUT)->assertUnprocessable();
    expect($answer->json('message'))->toContain($says);
    $this->assertDatabaseCount('assets', 0);
    expect(glob($this->shop->folder('unpacking').'/*'))->toBe([]);
})->with([
    'a bomb' => [fn () => zip_of(['a.otf' => str_repeat("\0", 29_000_000)]), 'far larger than it is'],
    'too large a font' => [fn () => zip_of(['a.otf' => str_repeat("\0", 31_000_000)]), 'larger than 30 MB'],
    'many files' => [fn () => zip_of(array_fill_keys(array_map(fn (int $i): string => "$i.txt", range(1, 2020)), 'x')), '2020 files'],
    'a password' => [fn () => zip_of(['a.woff2' => font_bytes()], 'secret'), 'locked with a password'],
    'no fonts' => [fn () => zip_of(['readme.txt' => 'hello']), 'holds no font'],
    'one of them broken' => [fn () => zip_of(['good.woff2' => font_bytes(), 'bad.otf' => 'OTTO nothing']), '"bad.otf"'],
    'no zip' => [fn () => UploadedFile::fake()->createWithContent('x.zip', "PK\3\4 nothing"), 'broken, or no zip'],
]);

it('keeps favourites', function (): void {
    $this->shelve('rye.woff2');
    $id = $this->shop->assets()->first()->id;
    $this->putJson("/api/assets/$id/favourite", ['favourite' => true])->assertOk()->assertJsonPath('favourite', true);
    expect($this->getJson('/api/assets')->json('0.favourite'))->toBeTrue();
});
