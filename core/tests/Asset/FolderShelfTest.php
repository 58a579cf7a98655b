<?php

declare(strict_types=1);

use TallCrow\Asset\AssetUnusable;
use TallCrow\Asset\FolderShelf;
use TallCrow\Asset\PictureReader;
use TallCrow\Raster\PictureType;
use TallCrow\Tests\Fixtures;

it('opens fonts and pictures by name, each once', function (): void {
    $shelf = Fixtures::shelf();
    expect($shelf->font('rye.woff2')->family)->toBe('Rye')
        ->and($shelf->font('rye.woff2'))->toBe($shelf->font('rye.woff2'))
        ->and($shelf->picture('moth.svg')->isVector())->toBeTrue()
        ->and($shelf->picture('moth.svg')->aspect())->toBe(0.75)
        ->and($shelf->picture('rock-pool.png')->markup())->toBe('');
});

it('names the file when it cannot be used', function (string $method, string $name, string $says): void {
    $folder = Fixtures::temporary('shelf');
    file_put_contents("$folder/broken.woff2", 'wOF2 and then nothing');
    file_put_contents("$folder/broken.png", "\x89PNG\r\n\x1a\n nothing");
    $shelf = new FolderShelf($folder);
    expect(fn () => $shelf->$method($name))->toThrow(AssetUnusable::class, $says);
})->with([
    ['font', 'broken.woff2', '"broken.woff2": This is not a font'], ['picture', 'broken.png', '"broken.png": This picture is broken'],
    ['picture', 'gone.png', '"gone.png" is not there'], ['font', 'gone.otf', '"gone.otf" is not there'],
]);

it('has another fingerprint for another content', function (): void {
    $folder = Fixtures::temporary('shelf');
    copy(Fixtures::assets().'/moth.svg', "$folder/a.svg");
    $shelf = new FolderShelf($folder);
    $first = $shelf->fingerprint('a.svg');
    expect($shelf->fingerprint('a.svg'))->toBe($first);
    unlink("$folder/a.svg");
    copy(Fixtures::assets().'/kite.svg', "$folder/a.svg");
    clearstatcache();
    expect($shelf->fingerprint('a.svg'))->not->toBe($first);
});

it('tells types by their first bytes', function (string $head, ?PictureType $type): void {
    expect(PictureType::of($head))->toBe($type);
})->with([
    'a PNG' => ["\x89PNG\r\n\x1a\n....", PictureType::Png], 'a JPEG' => ["\xff\xd8\xff\xe0", PictureType::Jpeg], ['RIFF....WEBPVP8 ', PictureType::Webp],
    ['<svg viewBox="0 0 1 1">', PictureType::Svg], ["\xef\xbb\xbf<?xml version=\"1.0\"?>\n<svg>", PictureType::Svg], ['<!-- a kite --><svg>', PictureType::Svg],
    ['RIFF....WAVE', null], ['<html><svg>', null], ['<?xml version="1.0"?><feed>', null], ['', null],
]);

it('says the type that a browser should be told', function (): void {
    expect(PictureType::Svg->mime())->toBe('image/svg+xml')->and(PictureType::Jpeg->mime())->toBe('image/jpeg');
});

it('sizes a drawing by its viewBox, or else by its width and height', function (string $head, float $width, float $height): void {
    $path = Fixtures::temporary('svg').'/d.svg';
    file_put_contents($path, "<svg xmlns=\"http://www.w3.org/2000/svg\" $head><path d=\"M0 0h1v1z\"/></svg>");
    $picture = PictureReader::open($path);
    expect([$picture->width, $picture->height])->toBe([$width, $height])->and($picture->markup())->toContain('viewBox=');
})->with([['viewBox="0 0 30 20"', 30.0, 20.0], ['width="40" height="10"', 40.0, 10.0], ['viewBox="5,5,8,4" width="100%"', 8.0, 4.0], ['width="24px" height="12px"', 24.0, 12.0]]);
