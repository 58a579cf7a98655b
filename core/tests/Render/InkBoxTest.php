<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Raster\ImageFile;
use TallCrow\Render\InkBox;
use TallCrow\Tests\Fixtures;

/** @return array{float, float, float, float} left, top, right and bottom of what ImageMagick trims a print to, in inches: all that is more than a hundredth there */
function trimmed(Artwork $artwork): array
{
    $file = Fixtures::temporary('trimmed').'/print.png';
    ImageFile::writePng(Fixtures::render($artwork), $file);
    preg_match('/^(\d+)x(\d+)\+(\d+)\+(\d+)$/', Fixtures::run(['convert', $file, '-alpha', 'extract', '-threshold', '1%', '-format', '%@', 'info:']), $found);
    [, $width, $height, $left, $top] = array_map(intval(...), $found);

    return [$left / 300, $top / 300, ($left + $width) / 300, ($top + $height) / 300];
}

function boxed_plate(array $more, float $turn = 0.0): array
{
    return Fixtures::shape('plate', 'rectangle', 2.0, '#c04030', ['placement' => ['x' => 1.4, 'y' => 1.7, 'width' => 2.0, 'height' => 1.2, 'turn' => $turn]] + $more);
}

it('finds the box about the ink that is printed, where outlines alone would tell more', function (Closure $layers, array $more): void {
    $artwork = Fixtures::artwork($layers(), $more);
    $box = InkBox::of($artwork, Fixtures::renderer());
    [$left, $top, $right, $bottom] = trimmed($artwork);
    foreach ([[$left, $box?->left], [$top, $box?->top], [-$right, -1 * (float) $box?->right], [-$bottom, -1 * (float) $box?->bottom]] as [$printed, $told]) {
        // Never less than a pixel of the print, nor more than one of a hundredth of an inch and of the print.
        expect($told)->toBeLessThan($printed + 1 / 300)->toBeGreaterThan($printed - 0.0134);
    }
})->with([
    'masked' => [fn () => [boxed_plate(['masks' => [['kind' => 'ellipse', 'x' => 0.4, 'y' => 0.6, 'width' => 0.5, 'height' => 0.4]]])], []],
    'masked and turned' => [fn () => [boxed_plate(['masks' => [['kind' => 'rectangle', 'x' => 0.3, 'y' => 0.5, 'width' => 0.4, 'height' => 0.7]]], 30.0)], []],
    'half of it knocked out' => [fn () => [boxed_plate([]), Fixtures::shape('hole', 'rectangle', 1.4, '#000000', ['placement' => ['x' => 0.7, 'y' => 1.7, 'width' => 1.4, 'height' => 3.0], 'role' => ['kind' => 'knockout']])], []],
    'its shadow' => [fn () => [boxed_plate(['effects' => [['kind' => 'fill', 'colour' => '#c04030'], ['kind' => 'shadow', 'distance' => 0.2, 'angle' => 30, 'colour' => '#202020', 'as' => 'solid']]], 12.0)], []],
    'bent words with rings' => [fn () => [Fixtures::words('w', 'Rangers', 2.2, ['effects' => [['kind' => 'fill', 'colour' => '#c04030'], ['kind' => 'arch'], ['kind' => 'outline', 'width' => 0.05, 'colour' => '#202020']]])], []],
    'worn at its edges' => [fn () => [boxed_plate([])], ['distress' => [['texture' => 'chipped-edges', 'amount' => 0.3, 'seed' => 2]]]],
]);

it('tells the box of an outline as it is, and none where no ink is left', function (): void {
    $box = InkBox::of(Fixtures::artwork([boxed_plate([])]), Fixtures::renderer());
    expect([$box?->left, $box?->top, $box?->right, $box?->bottom])->toEqualWithDelta([0.4, 1.1, 2.4, 2.3], 1e-6)
        ->and(InkBox::of(Fixtures::artwork([]), Fixtures::renderer()))->toBeNull()
        ->and(InkBox::of(Fixtures::artwork([boxed_plate(['masks' => [['kind' => 'ellipse', 'x' => 0.5, 'y' => 0.5, 'width' => 3, 'height' => 3, 'inverted' => true]]])]), Fixtures::renderer()))->toBeNull();
});

it('finds ink that lies off the sheet', function (): void {
    $box = InkBox::of(Fixtures::artwork([Fixtures::shape('plate', 'rectangle', 2.0, more: ['placement' => ['x' => 0.2, 'y' => 1.0, 'width' => 2.0, 'height' => 1.0], 'masks' => [['kind' => 'ellipse', 'x' => 0.5, 'y' => 0.5, 'width' => 0.5, 'height' => 0.5]]])]), Fixtures::renderer());
    expect($box?->left)->toEqualWithDelta(-0.3, 0.011)->and($box?->right)->toEqualWithDelta(0.7, 0.011);
    $shadowed = InkBox::of(Fixtures::artwork([boxed_plate(['effects' => [['kind' => 'fill', 'colour' => '#c04030'], ['kind' => 'shadow', 'distance' => 0.8, 'angle' => 0, 'colour' => '#202020', 'as' => 'solid']]])]), Fixtures::renderer());
    expect($shadowed?->right)->toEqualWithDelta(3.2, 0.011);
    // However far it goes.
    $far = InkBox::of(Fixtures::artwork([Fixtures::shape('bar', 'rectangle', 30.0, more: ['placement' => ['height' => 0.5]])]), Fixtures::renderer());
    expect([$far?->left, $far?->right])->toEqualWithDelta([-13.5, 16.5], 1e-6);
});
