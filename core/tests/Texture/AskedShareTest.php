<?php

declare(strict_types=1);

use TallCrow\Preflight\Preflight;
use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;
use TallCrow\Texture\Catalogue;

/** @param  array<string, mixed>  $wear */
function worn_sheet(array $wear, bool $whole): Image
{
    $words = Fixtures::words('w', "TIDE\nPOOL", 2.6);
    $line = $wear + ['amount' => 0.15, 'seed' => 5];

    return $whole
        ? Fixtures::render(Fixtures::artwork([$words], ['distress' => [$line]]))
        : Fixtures::render(Fixtures::artwork([['distress' => [$line]] + $words]));
}

function unworn_area(): float
{
    static $area = null;

    return $area ??= Fixtures::render(Fixtures::artwork([Fixtures::words('w', "TIDE\nPOOL", 2.6)]))->alpha()->area();
}

it('takes fifteen in a hundred where that was asked, of just this ink', function (string $texture, bool $whole): void {
    expect(1 - worn_sheet(['texture' => $texture], $whole)->alpha()->area() / unworn_area())->toEqualWithDelta(0.15, 0.01);
})->with(array_keys(Catalogue::classes()))->with([true, false]);

it('takes its share shifted, turned, scaled and inverted, too', function (array $wear): void {
    expect(1 - worn_sheet($wear + ['texture' => 'cracks'], true)->alpha()->area() / unworn_area())->toEqualWithDelta(0.15, 0.01);
})->with([[['x' => 0.7, 'y' => -0.4]], [['turn' => 33]], [['scale' => 0.5]], [['scale' => 2.2]], [['inverted' => true]], [['texture' => 'picture', 'file' => 'rock-pool.png']]]);

it('chips edges before the middle of the ink', function (): void {
    $worn = Fixtures::render(Fixtures::artwork([['distress' => [['texture' => 'chipped-edges', 'amount' => 0.12, 'seed' => 3]]] + Fixtures::shape('plate', 'rectangle', 2)]));
    $taken = fn (int $left, int $width): float => 1 - $worn->alpha()->crop($left, 310, $width, 580)->mean() / 255;
    expect($taken(150, 20))->toBeGreaterThan(3 * $taken(350, 200));
});

it('wears more where a brush adds and nothing where it spares', function (): void {
    $strokes = fn (bool $spares): array => [['points' => [[0.5, 0.1], [0.5, 0.9]], 'width' => 0.5, 'restores' => $spares]];
    $plate = fn (array $more): Image => Fixtures::render(Fixtures::artwork([['distress' => [$more + ['texture' => 'speckle', 'amount' => 0.2, 'seed' => 3]]] + Fixtures::shape('plate', 'rectangle', 2)]));
    $taken = fn (Image $image): float => 1 - $image->alpha()->crop(400, 450, 100, 300)->mean() / 255;
    expect($taken($plate(['strokes' => $strokes(true)])))->toBeLessThan(0.001)
        ->and($taken($plate(['strokes' => $strokes(false)])))->toBeGreaterThan($taken($plate([])) + 0.25);
});

it('tells of each word what wear took and whether it can still be read', function (): void {
    $report = fn (float $amount, array $more = []) => Preflight::artwork(Fixtures::artwork([Fixtures::words('w', 'TIDE POOL', 2.6)], $more + ['distress' => [['texture' => 'speckle', 'amount' => $amount, 'seed' => 3]]]), Fixtures::renderer(), Fixtures::shelf());
    $light = $report(0.05);
    expect($light->finding('word:w:0')?->word)->toBe('TIDE')->and($light->finding('word:w:1')?->word)->toBe('POOL')
        ->and($light->finding('word:w:0')->verdict->value)->toBe('pass')
        ->and($report(0.7)->finding('word:w:0')?->verdict->value)->toBe('fail')
        ->and($report(0.05, ['limits' => ['letterLost' => 0.02, 'stroke' => 0.001]])->finding('word:w:0')?->verdict->value)->toBe('fail')
        ->and($light->finding('wear')?->says)->toContain('ask for 5.0 %');
    $finding = $report(0.7)->finding('word:w:0');
    $mended = Fixtures::edited(Fixtures::artwork([Fixtures::words('w', 'TIDE POOL', 2.6)], ['distress' => [['texture' => 'speckle', 'amount' => 0.7, 'seed' => 3]]]), ...$finding->mends[0]->operations);
    expect($mended->distress[0]->shielded)->toBe(['w']);
});
