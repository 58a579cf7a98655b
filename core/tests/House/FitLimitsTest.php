<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\Faults;
use TallCrow\Artwork\Node;
use TallCrow\House\Agreement;
use TallCrow\House\AreasCsv;
use TallCrow\House\FileFigures;
use TallCrow\House\Fit;
use TallCrow\House\FitMode;
use TallCrow\House\FitNote;
use TallCrow\House\Fitting;
use TallCrow\House\House;
use TallCrow\House\HouseDemands;
use TallCrow\House\HousePlace;
use TallCrow\House\NamePattern;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Preflight\Verdict;
use TallCrow\Tests\Fixtures;

/** A plate whose ink goes from left to right on a sheet of 3 × 4 in. */
function plate_between(float $left, float $right, float $top = 1.0, float $bottom = 2.0): Artwork
{
    return Fixtures::artwork([Fixtures::shape('plate', 'rectangle', $right - $left, more: ['placement' => ['x' => ($left + $right) / 2, 'y' => ($top + $bottom) / 2, 'height' => $bottom - $top]])]);
}

/** @return list<FitNote> what is told of it at a place as large as its own sheet */
function told_of(Artwork $artwork, float $margin = 0.0, float $least = 200, ?float $finest = null, float $ppi = 300): array
{
    $place = new HousePlace('Tee', 'Front', PrintArea::inches('Tee, Front', 3, 4, Ppi::of($ppi)), $least, $margin, finestLine: $finest);

    return Fit::of($artwork, $place, Fitting::by(FitMode::Inches), Fixtures::renderer())->notes();
}

it('tells of ink that falls off on any side, from more than half a hundredth of an inch on', function (Artwork $artwork, ?string $says): void {
    $notes = told_of($artwork);
    expect($notes[0]->says ?? null)->toBe($says)->and($notes === [] || $notes[0]->grave)->toBeTrue();
})->with([
    'left' => [fn () => plate_between(-0.12, 1), '0.12 in of the ink fall off the sheet.'],
    'right' => [fn () => plate_between(1, 3.25), '0.25 in of the ink fall off the sheet.'],
    'above' => [fn () => plate_between(1, 2, -0.5, 1), '0.50 in of the ink fall off the sheet.'],
    'below' => [fn () => plate_between(1, 2, 3, 4.02), '0.02 in of the ink fall off the sheet.'],
    'by a hair' => [fn () => plate_between(-0.004, 1), null],
    'by more than a hair' => [fn () => plate_between(-0.006, 1), '0.01 in of the ink fall off the sheet.'],
    'all on it' => [fn () => plate_between(0.0, 3.0, 0.0, 4.0), null],
]);

it('tells of ink within the house\'s margin, and how near it comes', function (float $left, float $margin, ?string $says): void {
    $notes = told_of(plate_between($left, 2), $margin);
    expect($notes[0]->says ?? null)->toBe($says)->and($notes !== [] && $notes[0]->grave)->toBeFalse();
})->with([
    [0.3, 0.25, null], [0.246, 0.25, null], [0.24, 0.25, 'Ink comes to 0.24 in from the edge; the house wants 0.25 in free.'],
    [0.0, 0.25, 'Ink comes to 0.00 in from the edge; the house wants 0.25 in free.'], [-0.003, 0.25, 'Ink comes to 0.00 in from the edge; the house wants 0.25 in free.'], [0.0, 0.0, null],
]);

it('tells of a picture that is too coarse, or coarser than is wanted, by its pixels to the inch', function (float $ppi, float $least, array $says): void {
    $pixels = Fixtures::shelf()->picture('rock-pool.png')->width;
    $wide = $pixels / $ppi;
    $artwork = Fixtures::artwork([['id' => 'pool', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png', 'frame' => 'file'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => $wide, 'height' => null]]]);
    $notes = array_values(array_filter(told_of($artwork, least: $least), fn (FitNote $note): bool => str_contains($note->says, 'ppi')));
    expect(array_map(fn (FitNote $note): array => [$note->grave, $note->says, $note->mend], $notes))->toBe($says);
})->with([
    'at the least' => [200.02, 200, [[false, 'A picture prints at 200 ppi; 300 is wanted, 200 accepted.', '']]],
    'below the least' => [151.0, 200.4, [[true, 'A picture prints at 151 ppi; 201 is the least here.', 'It would need 1.33 times as many pixels; or print it at 75 % of this size.']]],
    'as is wanted' => [300.02, 200, []],
    'a little below what is wanted' => [299.0, 150.4, [[false, 'A picture prints at 299 ppi; 300 is wanted, 150 accepted.', '']]],
]);

it('takes the coarsest picture that is on, and none that is switched off', function (): void {
    $pixels = Fixtures::shelf()->picture('rock-pool.png')->width;
    $pool = fn (string $id, float $ppi, bool $on): array => ['id' => $id, 'on' => $on, 'source' => ['kind' => 'art', 'file' => 'rock-pool.png', 'frame' => 'file'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => $pixels / $ppi, 'height' => null]];
    $says = fn (array $layers): array => array_values(array_filter(array_map(fn (FitNote $note): string => $note->says, told_of(Fixtures::artwork($layers))), fn (string $note): bool => str_contains($note, 'ppi')));
    expect($says([$pool('a', 260.5, true), $pool('b', 180.5, true), $pool('c', 240.5, true)]))->toBe(['A picture prints at 180 ppi; 200 is the least here.'])
        ->and($says([$pool('a', 310, true), $pool('b', 180.5, false)]))->toBe([]);
});

it('tells of lines that are finer at a house than it holds', function (): void {
    // The sheet's own limit for strokes at its method is 0.012 in; at the same size a house that holds as much is content.
    $stroke = plate_between(1, 2)->limits->stroke;
    expect(told_of(plate_between(1, 2), finest: $stroke))->toBe([])->and(count(told_of(plate_between(1, 2), finest: $stroke + 0.001)))->toBe(1)->and(told_of(plate_between(1, 2), finest: $stroke + 0.001)[0]->grave)->toBeFalse();
});

it('fits by the ink within the margin on the side that is tighter, and not larger than a tenth of an inch leaves', function (float $left, float $right, float $scale): void {
    $place = new HousePlace('Tee', 'Front', PrintArea::inches('Tee, Front', 5, 5, Ppi::of(300)), 200, 0.5);
    $fit = Fit::of(plate_between($left, $right), $place, Fitting::by(FitMode::Ink), Fixtures::renderer());
    // Room of 4 × 4 in for a plate of 1 in down.
    expect($fit->scale)->toEqualWithDelta($scale, 1e-3)->and($fit->ink?->centreX())->toEqualWithDelta(2.5, 5e-3)->and($fit->ink?->centreY())->toEqualWithDelta(2.5, 5e-3);
})->with([[0.5, 2.5, 2.0], [1.0, 1.5, 4.0], [0.2, 2.8, 4 / 2.6]]);

it('makes findings of what is told, grave ones as failures', function (): void {
    $place = new HousePlace('Tee', 'Front', PrintArea::inches('Tee, Front', 3, 4, Ppi::of(300)), 200, 0.25);
    $findings = fn (Artwork $artwork): array => HouseDemands::findings(Fit::of($artwork, $place, Fitting::by(FitMode::Inches), Fixtures::renderer()));
    [$off, $near] = [$findings(plate_between(-0.5, 1)), $findings(plate_between(0.1, 1))];
    expect($off)->toHaveCount(1)->and($off[0]->verdict)->toBe(Verdict::Fail)->and($off[0]->figure)->toBe('sent back')->and($near[0]->verdict)->toBe(Verdict::Warn)->and($near[0]->figure)->toBe('look')
        ->and($findings(plate_between(0.5, 1)))->toBe([]);
});

it('compares what both sides tell, and holds a hundredth of the ppi for the same', function (): void {
    $figures = fn (float $ppi, ?bool $transparent, string $colours = '', string $sha = ''): FileFigures => new FileFigures(3600, 4800, $ppi, $transparent, $colours, 1234, $sha);
    $rows = fn (FileFigures $a, FileFigures $b): array => array_combine(array_map(fn (Agreement $row): string => $row->what, Agreement::between($a, $b)), array_map(fn (Agreement $row): bool => $row->differs, Agreement::between($a, $b)));
    expect($rows($figures(300, true), $figures(0, null)))->toBe(['pixels' => false, 'bytes' => false])
        ->and($rows($figures(0, true), $figures(300, true)))->toBe(['pixels' => false, 'transparent' => false, 'bytes' => false])
        ->and($rows($figures(300, true, 'RGB', 'aa'), $figures(299.9, false, 'CMYK', 'bb')))->toBe(['pixels' => false, 'ppi at its width' => false, 'transparent' => true, 'colours' => true, 'bytes' => false, 'content (SHA-256)' => true])
        ->and($rows($figures(300, null), $figures(290, null))['ppi at its width'])->toBeTrue();
});

it('rounds and cuts names as a file system can take them', function (float $ppi, string $title, string $name): void {
    $pattern = NamePattern::read(Node::root(['names' => '{title}_{ppi}'], new Faults), 'names');
    expect($pattern->name($title, '', '', '', PrintArea::pixels('a', 10, 10, Ppi::of($ppi)), new DateTimeImmutable('2026-05-03')))->toBe($name);
})->with([[299.6, 'Kite Day', 'kite-day_300'], [150.4, 'Ünder  the / Moon', 'under-the-moon_150']]);

it('reads a table of areas to its last row, empty rows and short rows too, and no further than a house has room for', function (): void {
    [$places, $wrong] = AreasCsv::read("place,product,height,width\n\nfront,Tee,16 in,12 in\n\nback,Tee,10 in\nsleeve,Tee,300 px,150 px\n");
    expect(array_map(fn (HousePlace $place): array => [$place->place, $place->area->width, $place->area->height, $place->margin, $place->least], $places))->toBe([['front', 3600, 4800, 0.0, 200.0], ['sleeve', 150, 300, 0.0, 200.0]])->and($wrong)->toHaveCount(1)->and($wrong[0])->toStartWith('Row 5, column width');
    $many = "product,place,width,height\n".implode('', array_map(fn (int $i): string => "Tee,p$i,10.504 in,10 in\n", range(1, House::MOST_PLACES + 5)));
    [$most] = AreasCsv::read($many);
    expect($most)->toHaveCount(House::MOST_PLACES)->and($most[0]->area->width)->toBe(3151);
    expect(AreasCsv::read("product,place,width,height,ppi\nTee,a,2 in,2 in,".House::LEAST_PPI."\nTee,b,2 in,2 in,".(House::LEAST_PPI - 1)."\n")[0])->toHaveCount(1);
});

it('needs a name of a house, takes a file as long as its bound, and a flag as it is written', function (): void {
    $house = fn (array $place): HousePlace => House::data(['format' => House::FORMAT, 'name' => 'Mill', 'names' => '{title}', 'places' => [$place + ['product' => 'Tee', 'place' => 'Front', 'area' => ['width' => 30, 'height' => 40, 'ppi' => 300]]]])->places[0];
    expect($house([])->underbase)->toBeTrue()->and($house([])->mirrored)->toBeFalse()->and($house(['underbase' => false, 'mirrored' => true])->underbase)->toBeFalse()->and($house(['underbase' => false, 'mirrored' => true])->mirrored)->toBeTrue()
        ->and($house([])->called())->toBe('Tee, Front')->and($house([])->key())->toBe('tee/front');
    $json = json_encode(['format' => House::FORMAT, 'name' => 'Mill', 'names' => '{title}', 'places' => []], JSON_THROW_ON_ERROR);
    expect(House::json(str_pad($json, 1_000_000))->name)->toBe('Mill')->and(fn () => House::json(str_pad($json, 1_000_001)))->toThrow(ArtworkInvalid::class, 'is the most')
        ->and(fn () => House::json('{"name":'))->toThrow(ArtworkInvalid::class, 'is not JSON');
});
