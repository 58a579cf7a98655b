<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Edit\EditRefused;
use TallCrow\Edit\Operations;
use TallCrow\Preflight\NearlyAligned;
use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;

require_once dirname(__DIR__).'/Preflight/subjects.php';

/**
 * A plate of 2 in about 1.4, 2.2, and words with capitals of about 0.2 in.
 *
 * @param  array<string, mixed>  $operation
 * @param  list<array<string, mixed>>  $effects
 * @param  array<string, mixed>  $piece  changes to the plate
 */
function stood(array $operation, string $text = 'TIDE', array $effects = [], float $capitals = 0.2, array $piece = []): Artwork
{
    $words = Fixtures::words('w', $text, 2, ['source' => ['font' => 'graduate.woff2'], 'effects' => [['kind' => 'fill', 'colour' => '#000000'], ...$effects]]);
    $words['placement'] = ['x' => 1.5, 'y' => 1, 'width' => null, 'height' => null, 'turn' => 9, 'capitals' => $capitals];
    $plate = $piece + ['on' => false, 'placement' => ['x' => 1.4, 'y' => 2.2, 'width' => 2, 'height' => null]] + Fixtures::shape('plate', 'ellipse', 2, '#b04a2c');

    return Fixtures::edited(Fixtures::artwork([$plate, $words]), ...Operations::read([$operation + ['op' => 'stand-around', 'id' => 'w', 'about' => 'plate', 'edge' => 'inside', 'side' => 'over', 'gap' => 0.1]]));
}

function stood_ink(Artwork $artwork): Image
{
    return Fixtures::render($artwork)->alpha();
}

/**
 * Ink beyond and within a circle about 1.4, 2.2: the same word is covered by ImageMagick's disc.
 */
function ink_within(Image $ink, float $radius): float
{
    $folder = Fixtures::temporary('disc');
    Fixtures::run(['convert', '-size', sprintf('%dx%d', $ink->width(), $ink->height()), 'xc:black', '-fill', 'white', '-draw', sprintf('circle %f,%f %f,%f', 419.5, 659.5, 419.5 + $radius * 300, 659.5), '-depth', '8', "gray:$folder/disc.raw"]);
    $disc = Image::raw((string) file_get_contents("$folder/disc.raw"), $ink->width(), $ink->height(), 1);

    return $ink->times($disc)->area();
}

it('stands words inside or outside the edge of a piece, with the gap that is told', function (string $edge, string $side, float $from, float $to): void {
    $ink = stood_ink(stood(['edge' => $edge, 'side' => $side]));
    $all = $ink->area();
    // The corners of letters stand a little further out than their middles.
    expect(ink_within($ink, $from - 0.006) / $all)->toBeLessThan(0.001)->and(ink_within($ink, $from + 0.02) / $all)->toBeGreaterThan(0.01)
        ->and(ink_within($ink, $to + 0.015) / $all)->toBeGreaterThan(0.999)->and(ink_within($ink, $to - 0.02) / $all)->toBeLessThan(0.99);
})->with([['inside', 'over', 0.7, 0.9], ['inside', 'under', 0.7, 0.9], ['outside', 'over', 1.1, 1.3], ['outside', 'under', 1.1, 1.3]]);

it('keeps the size of the letters and their other lines, and takes their other curves', function (): void {
    $stood = stood([], effects: [['kind' => 'arch', 'bend' => 0.3], ['kind' => 'jitter', 'seed' => 4], ['kind' => 'around', 'diameter' => 1], ['kind' => 'circle', 'bend' => 0.2]])->layer('w');
    expect(array_map(fn (EffectLine $line): string => $line->kind, $stood->effects))->toEqualCanonicalizing(['fill', 'jitter', 'around'])
        ->and($stood->placement->letterSize)->toEqualWithDelta(0.2, 1e-4)->and($stood->placement->turn)->toBe(0.0)
        ->and($stood->effects[array_search('around', array_column($stood->effects, 'kind'), true)]->values->number('diameter'))->toEqualWithDelta(1.6, 1e-4);
});

it('makes words smaller that would not go round', function (): void {
    $long = str_repeat('TIDE POOL ', 5).'TIDE';
    $layer = stood([], $long)->layer('w');
    expect($layer->placement->letterSize)->toBeLessThan(0.19)->toBeGreaterThan(0.05)
        ->and(stood([], $long, capitals: 0.05)->layer('w')->placement->letterSize)->toEqualWithDelta(0.05, 1e-4);
    $letters = Fixtures::renderer()->placer->place($layer)->letters ?? [];
    // They leave room where they would meet.
    expect(hypot($letters[0]->x - end($letters)->x, $letters[0]->baseline - end($letters)->baseline))->toBeGreaterThan(0.1);
});

it('finds a circle that suits the words, and leaves their top where it was', function (): void {
    $placer = Fixtures::renderer()->placer;
    $before = $placer->box(Fixtures::artwork([['placement' => ['x' => 1.5, 'y' => 1, 'width' => null, 'height' => null, 'capitals' => 0.2]] + Fixtures::words('w', 'TIDE POOL', 2)])->layers[0]);
    $after = stood(['about' => '', 'gap' => null], 'TIDE POOL')->layer('w');
    expect($placer->box($after)->top)->toEqualWithDelta($before->top, 0.15)->and($placer->box($after)->centreX())->toEqualWithDelta(1.5, 0.02)
        ->and($placer->box($after)->width())->toBeLessThan($before->width());
});

it('says why words cannot stand there', function (array $operation, string $text, float $capitals, string $why): void {
    expect(fn () => stood($operation, $text, capitals: $capitals))->toThrow(EditRefused::class, $why);
})->with([
    'too tall' => [[], 'I', 1.1, 'too tall to stand inside Ellipse'], 'itself' => [['about' => 'w'], 'TIDE', 0.2, 'not on the sheet any more'], 'gone' => [['about' => 'moth'], 'TIDE', 0.2, 'not on the sheet any more'],
    'no words' => [['id' => 'plate', 'about' => 'w'], 'TIDE', 0.2, 'is no text'], 'blank' => [[], ' ', 0.2, 'no ink yet'],
]);

it('counts the centre of such words as their middle', function (): void {
    $placer = Fixtures::renderer()->placer;
    $stood = stood([], 'FILL');
    $aligned = Fixtures::edited($stood, ...Operations::read([['op' => 'align', 'ids' => ['w'], 'edge' => 'middle', 'to' => 'plate'], ['op' => 'align', 'ids' => ['w'], 'edge' => 'centre', 'to' => 'plate']]));
    expect($aligned->layer('w')->placement->toArray())->toEqual($stood->layer('w')->placement->toArray())
        // The ink itself is not as wide to the left as to the right.
        ->and(abs($placer->box($stood->layer('w'))->centreX() - 1.4))->toBeGreaterThan(0.002);
});

it('turns, sizes and flips such words about that centre', function (): void {
    $stood = stood([], 'FILL');
    $place = fn (array $operation): array => Fixtures::edited($stood, ...Operations::read([$operation]))->layer('w')->placement->toArray();
    expect($place(['op' => 'turn', 'ids' => ['w'], 'degrees' => 40]))->toMatchArray(['x' => 1.4, 'y' => 2.2, 'turn' => 40.0])
        ->and($place(['op' => 'scale', 'ids' => ['w'], 'by' => 0.5]))->toMatchArray(['x' => 1.4, 'y' => 2.2, 'capitals' => 0.1])
        ->and($place(['op' => 'flip', 'ids' => ['w'], 'way' => 'down']))->toMatchArray(['x' => 1.4, 'y' => 2.2, 'flip' => 'down']);
});

it('gives words that follow a recipe the circle of its words, with their size', function (string $id): void {
    $words = fn (string $id, string $text): array => ['id' => $id, 'source' => ['kind' => 'text', 'text' => $text, 'font' => 'graduate.woff2'], 'placement' => ['x' => 6, 'y' => 6, 'width' => null, 'height' => null, 'capitals' => 0.2], 'effects' => [['kind' => 'around', 'diameter' => 1.6], ['kind' => 'fill', 'colour' => '#000000']]];
    $plate = ['placement' => ['x' => 6, 'y' => 6, 'width' => 2, 'height' => null]] + Fixtures::shape('plate', 'ellipse', 2, '#b04a2c');
    $sheet = Fixtures::artwork([Fixtures::words('own', 'LOW TIDE', 2.5)]);
    $made = Fixtures::edited($sheet, ...Operations::read([['op' => 'follow-recipe', 'id' => $id, 'words' => 'LOW TIDE', 'layers' => [$plate, $words('words', 'YOUR WORDS')], 'swatches' => [], 'replace' => [], 'with' => []]]));
    $seal = array_values(array_filter($made->layers, fn (Layer $layer): bool => in_array('around', array_column($layer->effects, 'kind'), true)))[0];
    $disc = array_values(array_filter($made->layers, fn (Layer $layer): bool => ! $layer->isWords()))[0];
    expect($seal->words()->text)->toBe('LOW TIDE')->and($seal->placement->letterSize)->toBe(0.2)->and($seal->placement->width)->toBeNull()
        ->and([$disc->placement->x, $disc->placement->y, $disc->placement->width])->toEqualWithDelta([$seal->placement->x, $seal->placement->y, 2.0], 1e-6);
})->with(['', 'own']);

it('keeps clear of a long plate on all sides, and within it', function (string $edge, float $across): void {
    $long = ['placement' => ['x' => 1.4, 'y' => 2.2, 'width' => 2.4, 'height' => 1.6]];
    $layer = stood(['edge' => $edge], piece: $long)->layer('w');
    expect($layer->effects[0]->values->number('diameter'))->toEqualWithDelta($across, 1e-4);
})->with([['outside', 2.4 + 0.2 + 0.2], ['inside', 1.6 - 0.2 - 0.2]]);

it('takes no word around a plate for one that is nearly in line with it', function (): void {
    // The ink of F is no middle of the circle that it stands around, by a hundredth of an inch.
    $stood = stood([], 'FILL', piece: ['on' => true]);
    $off = abs(Fixtures::renderer()->placer->box($stood->layer('w'))->centreX() - 1.4);
    expect($off)->toBeGreaterThan(0.002)->toBeLessThan(0.06)->and(array_keys(gauged(new NearlyAligned, $stood)))->not->toContain('line:w');
});

it('measures copies of such words by all of them', function (): void {
    $repeated = Fixtures::edited(stood([], 'FILL'), ...Operations::read([['op' => 'add-repeat', 'id' => 'w', 'kind' => 'mirror-down']]))->layer('w');
    $placer = Fixtures::renderer()->placer;
    expect($placer->middle($repeated))->toEqual($placer->box($repeated))->and($placer->middle($repeated)->width())->toBeGreaterThan(0.5);
});

it('leaves a gap of two fifths of the capitals unless it is told', function (): void {
    expect(stood(['gap' => null])->layer('w')->effects[0]->values->number('diameter'))->toEqualWithDelta(2 - 2 * 0.08 - 0.2, 1e-4);
});

it('keeps the type size of words that are sized by it, though their first letter is shaken', function (): void {
    $words = Fixtures::words('w', 'TIDE', 2, ['source' => ['font' => 'graduate.woff2'], 'effects' => [['kind' => 'fill', 'colour' => '#000000'], ['kind' => 'jitter', 'size' => 0.5, 'seed' => 3]]]);
    $words['placement'] = ['x' => 1.5, 'y' => 1, 'width' => null, 'height' => null, 'em' => 0.3];
    $layer = Fixtures::edited(Fixtures::artwork([$words]), ...Operations::read([['op' => 'stand-around', 'id' => 'w', 'about' => '', 'edge' => 'outside', 'side' => 'over', 'gap' => null]]))->layer('w');
    expect($layer->placement->letterSize)->toEqualWithDelta(0.3 * Fixtures::shelf()->font('graduate.woff2')->capHeight(), 1e-4);
});
