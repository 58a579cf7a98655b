<?php

declare(strict_types=1);

use TallCrow\Artwork\PrintMethod;
use TallCrow\House\Fit;
use TallCrow\House\FitMode;
use TallCrow\House\Fitting;
use TallCrow\House\HouseDemands;
use TallCrow\House\HousePlace;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Preflight\Finding;
use TallCrow\Preflight\Preflight;
use TallCrow\Preflight\Verdict;
use TallCrow\Tests\Fixtures;

function asks(string $place, float $width, float $height, float $least, ?float $line = null, ?float $words = null, float $margin = 0.0): HousePlace
{
    return new HousePlace('Tee', $place, PrintArea::inches($place, $width, $height, Ppi::of(300)), $least, $margin, finestLine: $line, smallestWords: $words);
}

it('tells what houses ask in the inches of the sheet, the strictest figure by figure', function (): void {
    // The sheet is 3 × 4 in: the one prints it half as large, the other twice.
    $artwork = Fixtures::artwork([Fixtures::shape('plate', 'rectangle', 2)]);
    $renderer = Fixtures::renderer();
    $fits = [Fit::of($artwork, asks('chest', 1.5, 2, 250, 0.012, 0.06), Fitting::by(FitMode::Contain), $renderer), Fit::of($artwork, asks('front', 6, 8, 200), Fitting::by(FitMode::Contain), $renderer)];
    $both = HouseDemands::strictest($fits, PrintMethod::DirectToGarment);
    $large = HouseDemands::strictest([$fits[1]], PrintMethod::DirectToGarment);

    // 0.012 in printed half as wide are 0.024 in here; 200 ppi at twice the width are 400 here.
    expect($both->method->line)->toEqualWithDelta(0.024, 1e-9)->and($both->method->xHeight)->toEqualWithDelta(0.12, 1e-9)->and($both->leastPpi)->toEqualWithDelta(400, 1e-9)->and($both->says)->toBe('the strictest of 2 places')
        ->and($large->method->line)->toEqualWithDelta(0.007, 1e-9)->and($large->says)->toBe('Tee, front');
});

it('judges small words and pictures by the house, and tells what a refit does to them', function (): void {
    $artwork = Fixtures::artwork([Fixtures::words('small', 'moth night', 0.9), Fixtures::shape('edge', 'rectangle', 3.0, '#f3ead7', ['placement' => ['y' => 1, 'height' => 0.5]])]);
    $renderer = Fixtures::renderer();
    $by = function (?HousePlace $place) use ($artwork, $renderer): array {
        $demands = $place === null ? null : HouseDemands::strictest([Fit::of($artwork, $place, Fitting::by(FitMode::Contain), $renderer)], PrintMethod::DirectToGarment);
        $found = Preflight::artwork($artwork, $renderer, Fixtures::shelf(), closely: false, demands: $demands)->findings;

        return array_combine(array_map(fn (Finding $one): string => $one->key, $found), $found);
    };
    $careful = asks('front', 3, 4, 300, 0.014, 0.3, 0.25);

    expect($by(null)['small']->verdict)->toBe(Verdict::Pass)->and($by($careful)['small'])->verdict->toBe(Verdict::Fail)->limit->toBe('0.30 in · 0.014 in')
        ->and($by($careful)['house:tee/front:0']->says)->toContain('the house wants 0.25 in free')->and($by(null))->not->toHaveKey('house:tee/front:0');
});

it('holds a sheet to a house on the command line', function (): void {
    $folder = Fixtures::temporary('held');
    file_put_contents("$folder/sheet.json", json_encode(Fixtures::artwork([Fixtures::words('small', 'moth night', 0.9)])->toArray()));
    file_put_contents("$folder/house.json", json_encode(['format' => 'tallcrow.house/1', 'name' => 'Mill Lane', 'places' => [asks('front', 3, 4, 300, 0.014, 0.3)->toArray()]]));
    [$code, $out] = Fixtures::crow('preflight', "$folder/sheet.json", '--house', "$folder/house.json", '--place', 'Tee/front', '--shelf', Fixtures::assets());
    [$unknown, , $error] = Fixtures::crow('preflight', "$folder/sheet.json", '--house', "$folder/house.json", '--place', 'mug', '--shelf', Fixtures::assets());

    expect($code)->toBe(1)->and($out)->toContain('0.30 in')->and($unknown)->toBe(2)->and($error)->toContain('tee/front');
});
