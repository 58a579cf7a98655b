<?php

declare(strict_types=1);

use TallCrow\Raster\Image;
use TallCrow\Raster\Morphology;
use TallCrow\Render\Frame;
use TallCrow\Render\NearEdges;
use TallCrow\Tests\Fixtures;

it('chips thin strokes no sooner than the rim of a solid beside them', function (float $amount, float $thin): void {
    $bar = fn (string $id, float $y): array => Fixtures::shape($id, 'rectangle', 2.4, '#f3ead7', ['placement' => ['y' => $y, 'height' => $thin]]);
    $layers = [Fixtures::shape('plate', 'rectangle', 2.4, '#b04a2c', ['placement' => ['y' => 1.2, 'height' => 1.4]]), $bar('a', 2.5), $bar('b', 2.9), $bar('c', 3.3)];
    $drawn = fn (array $distress): Image => Fixtures::render(Fixtures::artwork($layers, ['distress' => $distress]))->alpha()->isMore(127.0)->settled();
    $whole = $drawn([]);
    // As deep as the middle of a bar lies, all along the plate's edge.
    $rim = $whole->both(Morphology::eroded($whole, 2 * (int) round($thin / 2 * 300) + 1)->inverted())->settled();
    [$ofRim, $ofBars] = [0.0, 0.0];
    foreach ([1, 2, 3, 4] as $seed) {
        $gone = $whole->both($drawn([['texture' => 'chipped-edges', 'amount' => $amount, 'seed' => $seed]])->inverted())->settled();
        [$plate, $bars] = [[0, 0, 900, 660], [0, 660, 900, 540]];
        $ofRim += $gone->both($rim)->crop(...$plate)->area() / $rim->crop(...$plate)->area() / 4;
        $ofBars += $gone->crop(...$bars)->area() / $whole->crop(...$bars)->area() / 4;
    }
    expect($ofBars)->toBeLessThanOrEqual($ofRim)->toBeGreaterThan(0.0);
})->with([[0.06, 0.06], [0.12, 0.06], [0.12, 0.03]]);

it('is nearest along the rim of a solid, none deep within it, and the same in a part as in the whole', function (float $ppi): void {
    $whole = new Frame($ppi, 0, 0, (int) (3 * $ppi), (int) (2 * $ppi));
    $slab = Image::empty((int) (2 * $ppi), (int) $ppi, 1)->inverted()->embed((int) ($ppi / 2), (int) ($ppi / 2), $whole->width, $whole->height)->settled();
    $near = NearEdges::of(1.0, $whole, $slab)->settled();
    $at = fn (float $x, float $y): float => $near->crop((int) ($x * $ppi), (int) ($y * $ppi), 1, 1)->mean();
    expect($at(1.5, 0.505))->toBeGreaterThan(225.0)->and($at(1.5, 1.0))->toBe(0.0)->and($at(1.5, 0.56))->toBeBetween(50.0, 110.0);
    $margin = NearEdges::margin(1.0, $ppi);
    $part = new Frame($ppi, (int) (0.37 * $ppi), (int) (0.41 * $ppi), (int) (0.7 * $ppi), (int) (0.5 * $ppi));
    $wide = $part->grown($margin);
    [$least, $most] = NearEdges::of(1.0, $wide, $slab->embed(-$wide->left, -$wide->top, $wide->width, $wide->height)->settled())->crop($margin, $margin, $part->width, $part->height)->linear(1.0)
        ->minus($near->crop($part->left, $part->top, $part->width, $part->height)->linear(1.0))->range();
    expect(max(-$least, $most))->toBeLessThanOrEqual(1.0);
})->with([75.0, 120.0, 300.0]);
