<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Export\FileKind;
use TallCrow\House\AreasCsv;
use TallCrow\House\Fit;
use TallCrow\House\FitKeep;
use TallCrow\House\FitMode;
use TallCrow\House\FitNote;
use TallCrow\House\Fitting;
use TallCrow\House\House;
use TallCrow\House\HousePlace;
use TallCrow\House\NamePattern;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Render\InkBox;
use TallCrow\Render\Renderer;
use TallCrow\Tests\Fixtures;

/** @return array<string, mixed> */
function house_data(array $more = [], array $place = []): array
{
    return $more + ['format' => 'tallcrow.house/1', 'name' => 'Mill Lane Print', 'names' => '{title}_{place}_{width}x{height}', 'places' => [
        $place + ['product' => 'Heavy tee', 'place' => 'Front', 'area' => ['width' => 3600, 'height' => 4800, 'ppi' => 300], 'least' => 200, 'margin' => 0.25, 'kind' => 'png', 'mostMegabytes' => 25, 'finestLine' => 0.014],
    ]];
}

function place_of(float $width, float $height, float $margin = 0.0, float $least = 200): HousePlace
{
    return new HousePlace('Tee', 'Front', PrintArea::inches('Tee, Front', $width, $height, Ppi::of(300)), $least, $margin);
}

function fitted(Artwork $artwork, HousePlace $place, FitMode $mode): Fit
{
    return Fit::of($artwork, $place, Fitting::by($mode), renderer_of_house());
}

function renderer_of_house(): Renderer
{
    return Fixtures::renderer();
}

/** @return array{float, float} width and height of its ink, in inches */
function ink_kept(Artwork $artwork, FitKeep ...$keep): array
{
    $ink = Fit::of($artwork, place_of(6, 8), Fitting::by(FitMode::Contain, ...$keep), renderer_of_house())->ink;

    return $ink === null ? [0.0, 0.0] : [$ink->width(), $ink->height()];
}

/** A plate of 2 × 1 in whose top left corner lies at 0.5, 0.75 in on a sheet of 3 × 4 in. */
function plate_sheet(): Artwork
{
    return Fixtures::artwork([Fixtures::shape('plate', 'rectangle', 2, more: ['placement' => ['x' => 1.5, 'y' => 1.25, 'height' => 1.0], 'effects' => [1 => ['kind' => 'outline', 'width' => 0.1]]])]);
}

it('reads what it writes, and finds a place by its name', function (): void {
    $house = House::data(house_data());

    expect(House::data($house->toArray()))->toEqual($house)->and($house->at('heavy TEE/front')?->area->width)->toBe(3600)->and($house->at('mug/front'))->toBeNull()->and($house->places[0]->kind)->toBe(FileKind::Png)->and($house->places[0]->smallestWords)->toBeNull();
});

it('refuses a house that cannot be', function (array $data, string $why): void {
    expect(fn () => House::data($data))->toThrow(ArtworkInvalid::class, $why);
})->with([
    'another form' => [house_data(['format' => 'tallcrow.house/9']), 'format'], 'no name' => [house_data(['name' => '']), 'name'], 'an unknown slot' => [house_data(['names' => '{title}-{mood}']), 'the slot {mood}'],
    'no title in the names' => [house_data(['names' => 'design']), 'names no {title}'], 'too large' => [house_data([], ['area' => ['width' => 99000, 'height' => 10, 'ppi' => 300]]), 'width'],
    'twice' => [house_data(['places' => [house_data()['places'][0], house_data()['places'][0]]]), 'listed 2 times'], 'a word too many' => [house_data(['colour' => 'red']), 'colour'], 'no JSON' => [[], 'format'],
]);

it('names files as the house wants them', function (string $pattern, string $name): void {
    $house = House::data(house_data(['names' => $pattern]));
    expect($house->names->name('Möth Night / "2"', 'Mill Lane', 'Heavy tee', 'Front', $house->places[0]->area, new DateTimeImmutable('2031-04-05'), 'Forest'))->toBe($name);
})->with([
    ['{title}-{product}-{place}', 'moth-night-2-heavy-tee-front'], ['{title}_{colour}_{width}x{height}_{ppi}', 'moth-night-2_forest_3600x4800_300'], ['MLP {date} {title}', 'mlp-2031-04-05-moth-night-2'],
]);

it('leaves no double dash where a slot has no value', function (): void {
    expect(NamePattern::usual()->name('Kite', '', '', 'front', place_of(12, 16)->area, new DateTimeImmutable))->toBe('kite-front');
});

it('fits a design to another area, each mode by its rule', function (FitMode $mode, array $box, float $scale): void {
    // From 3 × 4 in to 6 × 12 in with half an inch of margin; the plate with its ring is 2.2 × 1.2 in about 1.5, 1.25.
    $fit = fitted(plate_sheet(), place_of(6, 12, 0.5), $mode);

    expect($fit->scale)->toEqualWithDelta($scale, 0.001)->and([$fit->ink?->left, $fit->ink?->top, $fit->ink?->right, $fit->ink?->bottom])->toEqualWithDelta($box, 0.01)->and($fit->artwork->sheet->width)->toBe(1800);
})->with([
    'as large as fits' => [FitMode::Contain, [0.8, 3.3, 5.2, 5.7], 2.0],
    'by the width' => [FitMode::Width, [0.8, 3.3, 5.2, 5.7], 2.0],
    'by the height' => [FitMode::Height, [-0.3, 1.95, 6.3, 5.55], 3.0],
    'by its ink' => [FitMode::Ink, [0.5, 4.6364, 5.5, 7.3636], 5 / 2.2],
    'in inches' => [FitMode::Inches, [1.9, 4.65, 4.1, 5.85], 1.0],
    'below the collar as before' => [FitMode::Place, [1.9, 0.65, 4.1, 1.85], 1.0],
    'apart with the area' => [FitMode::Spread, [1.9, 3.15, 4.1, 4.35], 1.0],
]);

it('tells before it is sent what falls off, what is too near the edge, and what is too coarse', function (): void {
    $says = fn (Fit $fit): array => array_map(fn (FitNote $note): string => $note->says, $fit->notes());

    expect($says(fitted(plate_sheet(), place_of(6, 12, 0.5), FitMode::Height)))->toBe(['0.30 in of the ink fall off the sheet.'])
        ->and($says(fitted(plate_sheet(), place_of(2.6, 3.4, 0.5), FitMode::Inches)))->toBe(['Ink comes to 0.20 in from the edge; the house wants 0.50 in free.'])
        ->and($says(fitted(plate_sheet(), place_of(6, 12), FitMode::Inches)))->toBe([])
        ->and($says(fitted(Fixtures::artwork([]), place_of(6, 12), FitMode::Contain)))->toBe(['There is no ink to print.']);
});

// The worked case of the trade: a canvas of 12 in drawn at 96 px per in and saved twice as large; what falls short is told with the factor that mends it.
it('does the sums of resolution that sellers do by hand', function (): void {
    $pool = Fixtures::shelf()->picture('rock-pool.png');
    $wide = $pool->width / 100;
    $sheet = Fixtures::artwork([['id' => 'pool', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png', 'frame' => 'file'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => $wide / 4, 'height' => null]]]);
    $note = fitted($sheet, place_of(12, 16, least: 200), FitMode::Width)->notes();

    // Four times as wide, the picture prints at 100 ppi, and needs twice as many pixels.
    expect(array_values(array_filter($note, fn (FitNote $one): bool => str_contains($one->says, 'ppi')))[0])->toEqual(new FitNote(true, 'A picture prints at 100 ppi; 200 is the least here.', 'It would need 2.00 times as many pixels; or print it at 50 % of this size.'));
});

it('tells of lines that the smaller print would lose', function (): void {
    $place = new HousePlace('Tee', 'Chest', PrintArea::inches('Tee, Chest', 1.5, 2, Ppi::of(300)), finestLine: 0.012);
    expect(array_map(fn (FitNote $note): string => $note->says, fitted(plate_sheet(), $place, FitMode::Contain)->notes()))->toBe(['Lines that were just held at 0.012 in are 0.006 in here; this house holds 0.012 in.']);
});

// RFC 4180 with lengths as sellers write them.
it('reads and writes areas as a table, and tells bad rows by row and column', function (): void {
    [$places, $wrong] = AreasCsv::read("\xEF\xBB\xBFproduct,place,width,height,ppi,least,margin\r\n\"Tee, heavy\",front,12 in,16 in,300,200,6 mm\r\nMug,wrap,200 mm,2362 px,300,,\r\nCap,front,wide,2 in,300,,\r\n,front,2 in,2 in,,,\r\nBag,front,2 in,2 in,9,,\r\n");
    $house = new House('Mill Lane', $places, NamePattern::usual());

    expect(array_map(fn (HousePlace $place): array => [$place->product, $place->area->width, $place->area->height], $places))->toBe([['Tee, heavy', 3600, 4800], ['Mug', 2362, 2362]])->and($places[0]->margin)->toEqualWithDelta(0.236, 0.001)
        ->and(array_map(fn (string $one): string => substr($one, 0, 24), $wrong))->toBe(['Row 4, column width: "wi', 'Row 5, column product: p', 'Row 6, column ppi: 9 ppi'])
        ->and(AreasCsv::write(new House('Again', AreasCsv::read(AreasCsv::write($house))[0], NamePattern::usual())))->toBe(AreasCsv::write($house))->and(AreasCsv::read("a,b\n1,2")[1][0])->toContain('the headings product, place, width, height are missing');
});

it('keeps words, rings and gaps in their inches where that is said, and sizes all else', function (): void {
    // The plate is 2 × 1 in with a ring of 0.1 in all round: twice as large it is 4 × 2 in, and its ring 0.2 in or still 0.1 in.
    expect(ink_kept(plate_sheet()))->toEqualWithDelta([4.4, 2.4], 0.01)
        ->and(ink_kept(plate_sheet(), FitKeep::Rings))->toEqualWithDelta([4.2, 2.2], 0.01)
        ->and(ink_kept(plate_sheet(), FitKeep::Gaps))->toEqualWithDelta([4.4, 2.4], 0.01);

    // With a gap of 0.2 in before the ring, which keeps and the ring does not, or the other way about.
    $apart = Fixtures::artwork([Fixtures::shape('plate', 'rectangle', 2, more: ['placement' => ['x' => 1.5, 'y' => 1.25, 'height' => 1.0], 'effects' => [1 => ['kind' => 'gap', 'width' => 0.2], 2 => ['kind' => 'outline', 'width' => 0.1]]])]);
    expect(ink_kept($apart))->toEqualWithDelta([5.2, 3.2], 0.01)
        ->and(ink_kept($apart, FitKeep::Gaps))->toEqualWithDelta([4.8, 2.8], 0.01)
        ->and(ink_kept($apart, FitKeep::Rings, FitKeep::Gaps))->toEqualWithDelta([4.6, 2.6], 0.01);

    // Words stay as wide as they are, and their middle goes where the sized one lies; their ring is told apart from them.
    $words = Fixtures::artwork([Fixtures::words('moth', 'MOTH', 1.0, more: ['placement' => ['x' => 1.0, 'y' => 1.0], 'effects' => [1 => ['kind' => 'outline', 'width' => 0.05]]])]);
    $kept = Fit::of($words, place_of(6, 8), Fitting::by(FitMode::Contain, FitKeep::Words), renderer_of_house());
    [$layer] = $kept->artwork->layers;
    expect($layer->placement?->width)->toEqualWithDelta(1.0, 1e-9)->and($layer->middle())->toEqualWithDelta([2.0, 2.0], 1e-9)
        ->and($kept->ink?->width())->toEqualWithDelta(1.0 + 2 * 0.1, 0.02);

    // In a group, and the cloth that a piece leaves about itself.
    $group = Fixtures::artwork([['id' => 'both', 'source' => ['kind' => 'group', 'layers' => [
        Fixtures::words('moth', 'MOTH', 1.0), Fixtures::shape('hole', 'ellipse', 1, more: ['role' => ['kind' => 'knockout', 'gap' => 0.3, 'join' => 'round', 'from' => [], 'sets' => true, 'whole' => false]]),
    ]]]]);
    [$sized] = Fit::of($group, place_of(6, 8), Fitting::by(FitMode::Contain, FitKeep::Words, FitKeep::Gaps), renderer_of_house())->artwork->layers;
    expect($sized->children()[0]->placement?->width)->toEqualWithDelta(1.0, 1e-9)->and($sized->children()[1]->placement?->width)->toEqualWithDelta(2.0, 1e-9)->and($sized->children()[1]->role->gap)->toEqualWithDelta(0.3, 1e-9);
});

it('tells where the ink of a sized design lies just as it is drawn there', function (FitMode $mode): void {
    $masked = Fixtures::artwork([Fixtures::shape('plate', 'rectangle', 2.6, more: ['placement' => ['x' => 1.4, 'height' => 2.0, 'turn' => 20.0], 'masks' => [['kind' => 'ellipse', 'x' => 0.4, 'y' => 0.5, 'width' => 0.5, 'height' => 0.6]]])]);
    $fit = Fit::of($masked, place_of(6, 9), Fitting::by($mode), renderer_of_house());
    $drawn = InkBox::of($fit->artwork, renderer_of_house());
    expect([$fit->ink?->left, $fit->ink?->top, $fit->ink?->right, $fit->ink?->bottom])->toEqualWithDelta([$drawn?->left, $drawn?->top, $drawn?->right, $drawn?->bottom], 0.01 * (1 + $fit->scale));
})->with([[FitMode::Contain], [FitMode::Width], [FitMode::Ink], [FitMode::Inches], [FitMode::Spread]]);
