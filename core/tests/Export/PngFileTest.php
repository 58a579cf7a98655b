<?php

declare(strict_types=1);

use TallCrow\Export\PngChunk;
use TallCrow\Export\PngFile;
use TallCrow\Export\PrintPng;
use TallCrow\Measure\Ppi;
use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;

it('puts chunks right after the header and leaves the picture as it was', function (): void {
    $folder = Fixtures::temporary('chunks');
    Fixtures::run(['convert', '-size', '60x40', 'plasma:', "PNG32:$folder/from.png"]);
    PngFile::withChunks("$folder/from.png", "$folder/to.png", [PngChunk::srgb(), PngChunk::density(11811), PngChunk::text('Title', 'Möwe & Rook')]);
    expect(array_slice(array_map(fn (PngChunk $c): string => $c->type, PngFile::chunks("$folder/to.png")), 0, 4))->toBe(['IHDR', 'sRGB', 'pHYs', 'iTXt'])
        ->and(Fixtures::run(['pngcheck', "$folder/to.png"]))->toContain('OK');
    foreach (['from', 'to'] as $name) {
        Fixtures::run(['convert', "$folder/$name.png", "rgba:$folder/$name.rgba"]);
    }
    expect(file_get_contents("$folder/to.rgba"))->toBe(file_get_contents("$folder/from.rgba"));
});

it('replaces what the file said before', function (): void {
    $folder = Fixtures::temporary('chunks');
    Fixtures::run(['convert', '-size', '60x40', 'xc:none', '-units', 'PixelsPerInch', '-density', '72', "PNG32:$folder/from.png"]);
    PngFile::withChunks("$folder/from.png", "$folder/to.png", [PngChunk::density(11811)]);
    $density = array_values(array_filter(PngFile::chunks("$folder/to.png"), fn (PngChunk $c): bool => $c->type === 'pHYs'));
    expect($density)->toHaveCount(1)->and($density[0]->data)->toBe(PngChunk::density(11811)->data);
});

it('carries titles in any script, and no nul', function (string $title): void {
    $path = Fixtures::temporary('title').'/t.png';
    PrintPng::write(Image::empty(4, 4), $path, Ppi::of(300), $title);
    $texts = array_filter(PngFile::chunks($path), fn (PngChunk $c): bool => $c->type === 'iTXt');
    expect(implode('|', array_map(fn (PngChunk $c): string => $c->data, $texts)))->toContain(str_replace("\0", '', $title))
        ->and(Fixtures::run(['pngcheck', $path]))->toContain('OK');
})->with(['Kite day', 'Мотылёк', '夜の蛾', "with\0nul"]);

it('writes over an older file only when the new one is whole', function (): void {
    $folder = Fixtures::temporary('over');
    PrintPng::write(Image::empty(4, 4), "$folder/t.png", Ppi::of(300), 'first');
    $before = (string) file_get_contents("$folder/t.png");
    expect(fn () => PrintPng::write(Image::empty(4, 4), "$folder/nowhere/t.png", Ppi::of(300), 'x'))->toThrow(RuntimeException::class);
    expect(file_get_contents("$folder/t.png"))->toBe($before)->and(glob("$folder/*"))->toBe(["$folder/t.png"]);
});
