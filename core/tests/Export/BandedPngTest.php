<?php

declare(strict_types=1);

use TallCrow\Export\BandedPng;
use TallCrow\Export\PngBroken;
use TallCrow\Export\PngChunk;
use TallCrow\Export\PngFile;
use TallCrow\Measure\Ppi;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Tests\Fixtures;

/** A noisy picture of ImageMagick's, 250 × 300: three bands of 96 rows, each longer than an Adler sum's modulus, and one of 12. */
function noisy(int $seed): Image
{
    $path = Fixtures::temporary('banded').'/noisy.png';
    Fixtures::run(['convert', '-size', '250x300', '-seed', (string) $seed, 'plasma:', "PNG32:$path"]);

    return ImageFile::read(PictureType::Png, $path)->asInk()->settled();
}

/** The rows that a file holds, unpacked by zlib, which checks their sum; each begins with its filter. */
function rows_held(string $file): string
{
    $bytes = (string) file_get_contents($file);
    [$packed, $at] = ['', 8];
    while ($at < strlen($bytes)) {
        ['length' => $length, 'type' => $type] = unpack('Nlength/a4type', $bytes, $at) ?: throw new RuntimeException('No chunk.');
        $type === 'IDAT' && $packed .= substr($bytes, $at + 8, $length);
        $at += $length + 12;
    }

    return gzuncompress($packed) ?: throw new RuntimeException('The sum is wrong.');
}

function rows_unfiltered(Image $picture): string
{
    return implode('', array_map(fn (string $row): string => "\0$row", str_split($picture->toBytes(), 4 * $picture->width())));
}

it('packs bands by themselves, and zlib finds their sum right', function (): void {
    [$first, $other] = [noisy(3), noisy(4)];
    $file = Fixtures::temporary('banded').'/print.png';
    $bands = new BandedPng($first);
    $bands->write([], $file, Ppi::of(300), 'Kites');
    expect(rows_held($file))->toBe(rows_unfiltered($first))->and(Fixtures::run(['pngcheck', $file]))->toContain('OK');
    $texts = fn (): array => array_values(array_map(fn (PngChunk $chunk): string => explode("\0", $chunk->data)[0], array_filter(PngFile::chunks($file), fn (PngChunk $chunk): bool => $chunk->type === 'iTXt' || $chunk->type === 'tEXt')));
    expect($texts())->toBe(['Title', 'Software'])->and(Fixtures::run(['identify', '-units', 'PixelsPerInch', '-format', '%w %h %x', $file]))->toBe('250 300 300');

    // Two bands in the middle, and the short one at the end.
    $bands->write([96 => $other->crop(0, 96, 250, 192)->settled()], $file, Ppi::of(300), '');
    expect(rows_held($file))->toBe(rows_unfiltered($first->crop(0, 0, 250, 96)).rows_unfiltered($other->crop(0, 96, 250, 192)).rows_unfiltered($first->crop(0, 288, 250, 12)))->and($texts())->toBe(['Software']);
    $bands->write([0 => $other->crop(0, 0, 250, 96)->settled(), 288 => $other->crop(0, 288, 250, 12)->settled()], $file, Ppi::of(300), '');
    expect(rows_held($file))->toBe(rows_unfiltered($other->crop(0, 0, 250, 96)).rows_unfiltered($first->crop(0, 96, 250, 192)).rows_unfiltered($other->crop(0, 288, 250, 12)));
    // What was written before is as it was.
    $bands->write([], $file, Ppi::of(300), 'Kites');
    expect(rows_held($file))->toBe(rows_unfiltered($first));
});

it('leaves no half a file where none can be written', function (): void {
    $folder = Fixtures::temporary('banded');
    expect(fn () => Fixtures::silently(fn () => (new BandedPng(noisy(3)))->write([], "$folder/nowhere/print.png", Ppi::of(300), '')))->toThrow(PngBroken::class)->and(glob("$folder/*.part"))->toBe([]);
});
