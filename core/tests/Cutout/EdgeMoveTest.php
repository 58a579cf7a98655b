<?php

declare(strict_types=1);

use TallCrow\Cutout\EdgeCare;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Tests\Fixtures;

/** A red disc of 400 pixels across beside a blue plate, drawn by ImageMagick. */
function disc_and_plate(): Image
{
    $file = Fixtures::temporary('edge').'/disc.png';
    Fixtures::run(['convert', '-size', '800x600', 'xc:none', '-fill', '#c8452c', '-draw', 'circle 500,300 500,100', '-fill', '#2c45c8', '-draw', 'rectangle 60,100 220,500', "PNG32:$file"]);

    return ImageFile::read(PictureType::Png, $file)->asInk()->settled();
}

// The reference is the disc itself: moved in or out by so much it is one of another radius. A blurred edge that is bent gives way a little more.
it('moves an edge by what is asked, however far, and leaves it sharp', function (float $by): void {
    $ink = disc_and_plate();
    $moved = EdgeCare::choked($ink, $by)->alpha()->settled();
    $across = fn (Image $alpha): float => $alpha->crop(500, 0, 1, 600)->area();
    expect($across($moved))->toEqualWithDelta($across($ink->alpha()) - 2 * $by, max(0.8, 0.035 * abs($by)))
        // Of all pixels only those of the edges are soft: two or so for each pixel of their length.
        ->and($moved->isMore(8.0)->both($moved->isLess(247.0))->area())->toBeLessThan(2.5 * (M_PI * (400 - 2 * $by) + 1120));
})->with([0.5, 1.5, 6.0, 7.9, 8.1, 20.0, 60.0, -3.0, -30.0]);

it('carries colours outwards over the fringe, near and far', function (float $width): void {
    $ink = disc_and_plate();
    // A pale rim, as a background leaves it: five pixels within the edge.
    $inner = EdgeCare::choked($ink, 5.0)->alpha()->isMore(127.0)->settled();
    $rimmed = $inner->chosen($ink->band(0, 3), $ink->band(0, 3)->linearByte(0.0, 240.0))->asColours()->withBand($ink->alpha())->settled();
    $cleaned = EdgeCare::withoutFringe($rimmed, $width)->settled();
    expect(Fixtures::pixel($rimmed, 500, 102))->toBe([240, 240, 240, 255]);
    foreach ([[500, 102, [200, 69, 44]], [698, 300, [200, 69, 44]], [62, 300, [44, 69, 200]], [140, 498, [44, 69, 200]], [500, 300, [200, 69, 44]], [140, 300, [44, 69, 200]]] as [$x, $y, $colour]) {
        expect(array_slice(Fixtures::pixel($cleaned, $x, $y), 0, 3))->toEqualWithDelta($colour, 6);
    }
    expect($cleaned->alpha()->toBytes())->toBe($rimmed->alpha()->toBytes());
})->with([9.0, 15.0, 17.0, 40.0]);
