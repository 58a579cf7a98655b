<?php

declare(strict_types=1);

use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;

/**
 * A print scaled down by ImageMagick's box average, against a proof. Premultiplied: the colour of what is clear counts for nothing.
 *
 * @return array{float, float} mean difference in levels, and the share of samples that differ by more than 24
 */
function apart(Image $print, Image $proof): array
{
    $folder = Fixtures::temporary('proof');
    file_put_contents("$folder/print.rgba", $print->toBytes());
    Fixtures::run(['convert', '-size', $print->width().'x'.$print->height(), '-depth', '8', "rgba:$folder/print.rgba", '-scale', '20%', "rgba:$folder/small.rgba"]);
    $small = Image::raw((string) file_get_contents("$folder/small.rgba"), $proof->width(), $proof->height(), 4);
    $weighed = fn (Image $ink): Image => $ink->band(0, 3)->multiplied($ink->alpha()->linear(1 / 255))->withBand($ink->alpha()->linear(1.0));
    $off = $weighed($small)->minus($weighed($proof))->operation('abs')->settled();

    return [$off->mean(), $off->isMore(24.0)->mean() / 255];
}

// The bound that docs/how-it-works.md states: within 0.3 levels of 255 in the mean, and no more than 0.2 % of all samples
// off by more than 24 levels, on every demo artwork, textures and all.
it('shows the same picture at 60 and at 300 ppi', function (string $name): void {
    $artwork = Fixtures::demo($name);
    [$mean, $far] = apart(Fixtures::render($artwork, 300), Fixtures::render($artwork, 60));
    expect($mean)->toBeLessThan(0.3)->and($far)->toBeLessThan(0.002);
})->with(['kite-day', 'moth-night', 'rangers-badge', 'bell-ringers-wave', 'tide-pool-papers', 'kite-grid', 'rook-varsity', 'lantern-burst']);

it('tells apart what is not the same', function (): void {
    $grey = fn (int $level): Image => Image::raw(str_repeat(chr($level).chr($level).chr($level)."\xff", 100), 10, 10, 4);
    $print = $grey(100)->zoomed(5)->settled();
    expect(apart($print, $grey(100)))->toBe([0.0, 0.0])->and(apart($print, $grey(104)))->toBe([3.0, 0.0])->and(apart($print, $grey(125)))->toBe([18.75, 0.75]);
});

it('shows wear that is turned as crisp as it is printed', function (string $kind, float $turn): void {
    $artwork = Fixtures::artwork([Fixtures::shape('p', 'rectangle', 2.6)], ['distress' => [['texture' => $kind, 'amount' => 0.2, 'seed' => 9, 'turn' => $turn]]]);
    [, $far] = apart(Fixtures::render($artwork, 300), Fixtures::render($artwork, 60));
    expect($far)->toBeLessThan(0.005);
})->with(['speckle', 'cracks', 'photocopy'])->with([25.0, -71.0]);
