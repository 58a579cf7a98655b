<?php

declare(strict_types=1);

use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;
use TallCrow\Tests\Repeats;
use TallCrow\Texture\Catalogue;

/** @param  array<string, mixed>  $more */
function sheet_of_19_inches(array $more): Image
{
    $area = ['sheet' => ['width' => 5700, 'height' => 5700, 'ppi' => 300]];

    return Fixtures::render(Fixtures::artwork([$more + Fixtures::shape('sheet', 'rectangle', 19, more: ['placement' => ['x' => 9.5, 'y' => 9.5, 'width' => 19, 'height' => 19]])], $area), 15);
}

it('is not seen twice on a sheet of 19 inches', function (string $texture, int $seed = 5): void {
    if ($texture === 'chipped-edges') {
        // It needs edges: a sheet full of discs.
        $field = Fixtures::field($texture, 5)->shrunk(20)->settled()->crop(0, 0, 285, 285);
    } else {
        $field = sheet_of_19_inches(['distress' => [['texture' => $texture, 'amount' => 0.15, 'seed' => $seed]]])->alpha()->settled();
    }
    expect($field->width())->toBe(285)->and(Repeats::strongest($field, 22.5)[0])->toBeLessThan(0.3);
})->with(fn (): array => [...array_map(fn (string $texture): array => [$texture], array_keys(Catalogue::classes())), ['fold-lines', 1], ['halftone-wear', 3], ['halftone-wear', 12]]);

it('is not seen twice at half its size, on 12 inches', function (): void {
    $field = sheet_of_19_inches(['distress' => [['texture' => 'water-stain', 'amount' => 0.15, 'seed' => 3, 'scale' => 0.5]]])->alpha()->settled();
    expect(Repeats::strongest($field->crop(0, 0, 180, 180)->settled(), 22.5)[0])->toBeLessThan(0.3);
});

it('strews, stains and sprinkles papers without a repeat', function (string $paper): void {
    $sheet = sheet_of_19_inches(['effects' => [['kind' => 'paper', 'paper' => $paper, 'seed' => 5]]]);
    expect(Repeats::strongest(ColourBands::luminance($sheet)->settled(), 22.5)[0])->toBeLessThan(0.3);
})->with(array_diff(TallCrow\Paper\Catalogue::kinds(), ['gingham', 'plaid', 'stripes', 'spots', 'chevron', 'halftone-ramp', 'ruled', 'squared']));
