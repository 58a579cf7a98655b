<?php

declare(strict_types=1);

use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Tests\Fixtures;

/** A square of one inch and a half, its middle at a place of the sheet. @return array<string, mixed> */
function square(string $id, float $x, float $y, string $colour, array $more = []): array
{
    return Fixtures::shape($id, 'rectangle', 1.5, $colour, ['placement' => ['x' => $x, 'y' => $y, 'height' => 1.5]] + $more);
}

/** The whole sheet with one piece on it, as ImageMagick reads it. */
function piece_file(array $piece): string
{
    $path = Fixtures::temporary('piece').'/p.png';
    ImageFile::writePng(Fixtures::render(Fixtures::artwork([$piece])), $path, 1);

    return $path;
}

// W3C Compositing and Blending Level 1; ImageMagick is the reference for pieces blended on a sheet with cloth beside them.
it('blends a piece with all that lies below, where they meet and where only one of them is', function (string $blend, string $magick): void {
    [$red, $blue, $sky] = [square('red', 1.0, 1.5, '#b04a2c'), square('blue', 1.8, 2.2, '#17404a'), square('sky', 1.4, 2.0, '#6a9be8')];
    $ours = Fixtures::render(Fixtures::artwork([$red, $blue, ['blend' => $blend] + $sky]));
    $out = Fixtures::temporary('blend').'/o.png';
    Fixtures::run(['convert', piece_file($red), piece_file($blue), '-compose', 'Over', '-composite', piece_file($sky), '-compose', $magick, '-composite', '-depth', '8', "PNG32:$out"]);
    $theirs = ImageFile::read(PictureType::Png, $out)->asInk();
    $off = array_filter(array_map(fn (string $a, string $b): int => abs(ord($a) - ord($b)), str_split($ours->toBytes()), str_split($theirs->toBytes())), fn (int $by): bool => $by > 1);
    expect(count($off) / (900 * 1200 * 4))->toBeLessThan(0.001)
        ->and(Fixtures::pixel($ours, 240, 420))->not->toBe(Fixtures::pixel(Fixtures::render(Fixtures::artwork([$red, $blue, $sky])), 240, 420));
})->with([['multiply', 'Multiply'], ['screen', 'Screen'], ['overlay', 'Overlay'], ['darken', 'Darken'], ['lighten', 'Lighten'], ['difference', 'Difference'], ['exclusion', 'Exclusion']]);

it('takes ink from the pieces that a knockout names, and from no other', function (array $from, array $alpha): void {
    // Red at the left, blue at the right, both under the hole.
    $hole = ['role' => ['kind' => 'knockout', 'gap' => 0.0, 'from' => $from]] + Fixtures::shape('hole', 'rectangle', 2.4, more: ['placement' => ['height' => 0.4]]);
    $image = Fixtures::render(Fixtures::artwork([square('red', 0.8, 2, '#b04a2c'), square('blue', 2.3, 2, '#17404a'), $hole]));
    expect([Fixtures::pixel($image, 240, 600)[3], Fixtures::pixel($image, 690, 600)[3], Fixtures::pixel($image, 240, 450)[3]])->toBe([...$alpha, 255]);
})->with([[['red'], [0, 255]], [['blue'], [255, 0]], [['red', 'blue'], [0, 0]], [[], [0, 0]]]);

it('takes out of what lies below and leaves what comes later', function (): void {
    $hole = ['role' => ['kind' => 'knockout', 'gap' => 0.0]] + Fixtures::shape('hole', 'ellipse', 0.8);
    $image = Fixtures::render(Fixtures::artwork([square('red', 1.5, 2, '#b04a2c'), $hole, Fixtures::shape('dot', 'ellipse', 0.3, '#17404a')]));
    expect(Fixtures::pixel($image, 450, 600))->toBe([23, 64, 74, 255])->and(Fixtures::pixel($image, 450 + 75, 600)[3])->toBe(0)->and(Fixtures::pixel($image, 450 + 150, 600)[3])->toBe(255);
});

it('takes ink from a piece that a knockout names, whatever is blended with it', function (array $from, array $shows): void {
    $hole = ['role' => ['kind' => 'knockout', 'gap' => 0.0, 'from' => $from]] + Fixtures::shape('hole', 'rectangle', 0.4);
    $blended = Fixtures::render(Fixtures::artwork([square('red', 1.5, 2, '#b04a2c'), ['blend' => 'multiply'] + square('blue', 1.5, 2, '#17404a'), $hole]));
    expect(Fixtures::pixel($blended, 450, 600))->toBe($shows)
        // Beside the hole they are multiplied: 176 × 23 ÷ 255, 74 × 64 ÷ 255, 44 × 74 ÷ 255.
        ->and(Fixtures::pixel($blended, 450 + 150, 600))->toBe([16, 19, 13, 255]);
})->with(['the lower' => [['red'], [23, 64, 74, 255]], 'the upper' => [['blue'], [176, 74, 44, 255]], 'both' => [['red', 'blue'], [0, 0, 0, 0]]]);

it('wears a sheet with blended and knocked out pieces by the share that was asked', function (): void {
    $layers = [square('red', 1.0, 1.5, '#b04a2c'), ['blend' => 'multiply'] + square('blue', 1.8, 2.2, '#17404a'), ['role' => ['kind' => 'knockout', 'gap' => 0.05]] + Fixtures::shape('hole', 'star', 0.9)];
    $bare = Fixtures::render(Fixtures::artwork($layers))->alpha()->area();
    $worn = Fixtures::render(Fixtures::artwork($layers, ['distress' => [['texture' => 'photocopy', 'amount' => 0.2, 'seed' => 3]]]))->alpha()->area();
    expect(1 - $worn / $bare)->toEqualWithDelta(0.2, 0.01);
});
