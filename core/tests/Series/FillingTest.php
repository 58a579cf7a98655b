<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Render\Placer;
use TallCrow\Series\Filled;
use TallCrow\Series\Filling;
use TallCrow\Series\Pattern;
use TallCrow\Series\PatternInvalid;
use TallCrow\Series\RowNote;
use TallCrow\Tests\Fixtures;

/** A name 2.4 in wide over a bar, both on a sheet 3 × 4 in. */
function name_sheet(array $more = []): Artwork
{
    return Fixtures::artwork([
        Fixtures::shape('bar', 'rectangle', 2.0, '#22333b', ['placement' => ['y' => 3.2, 'height' => 0.3]]),
        Fixtures::words('name', 'Wren', 2.4, $more),
    ]);
}

function pattern_of(array $slots, string $title = ''): Pattern
{
    return Pattern::data(['format' => Pattern::FORMAT, 'title' => $title, 'slots' => $slots]);
}

function placer_of_series(): Placer
{
    return Fixtures::renderer()->placer;
}

/** @param  array<string, mixed>  $fit */
function named(string $name, array $fit, ?Artwork $artwork = null): Filled
{
    return (new Filling($artwork ?? name_sheet(), pattern_of([['name' => 'Name', 'places' => ['name/source/text'], 'fit' => $fit]]), placer_of_series()))->row(['Name' => $name]);
}

/** @return array{float, float} width and height of the words' box */
function size_of(Filled $filled): array
{
    $box = placer_of_series()->box($filled->artwork->layer('name'));

    return [$box->width(), $box->height()];
}

it('fills every kind of token, each as what it was', function (): void {
    $artwork = name_sheet();
    $filled = (new Filling($artwork, pattern_of([
        ['name' => 'Name', 'places' => ['name/source/text', '/title']], ['name' => 'Colour', 'places' => ['name/effects/0/colour', 'bar/effects/0/colour']], ['name' => 'Bar', 'places' => ['bar/on']],
        ['name' => 'Width', 'places' => ['bar/placement/width']], ['name' => 'Cloth', 'places' => ['/garments']],
    ]), placer_of_series()))->row(['Name' => 'Rook', 'Colour' => 'b33a1f', 'Bar' => 'no', 'Width' => '1.5', 'Cloth' => 'oat'])->artwork;
    $data = $filled->toArray();

    expect($filled->title)->toBe('Rook')->and($filled->layer('name')->source->text)->toBe('Rook')->and($data['layers'][1]['effects'][0]['colour'])->toBe('#b33a1f')->and($data['layers'][0]['effects'][0]['colour'])->toBe('#b33a1f')
        ->and($filled->layer('bar')->on)->toBeFalse()->and($filled->layer('bar')->placement->width)->toBe(1.5)->and(array_column($data['garments'], 'name'))->toBe(['Oat']);
});

it('refuses what does not go into a slot, in words', function (array $slot, string $value, string $says): void {
    $filling = new Filling(name_sheet(), pattern_of([['name' => 'It'] + $slot]), placer_of_series());
    expect(fn () => $filling->row(['It' => $value]))->toThrow(PatternInvalid::class, $says);
})->with([
    [['places' => ['name/effects/0/colour']], 'sea green', 'no colour'], [['places' => ['bar/placement/width']], 'wide', 'no number'], [['places' => ['bar/on']], 'perhaps', 'no yes or no'], [['places' => ['/garments']], 'Velvet', 'cloth of this pattern'],
    [['places' => ['gone/source/text']], 'x', 'has no "gone/source/text"'], [['places' => ['bar/placement/width']], '-4', 'does not go there'], [['places' => ['name/effects']], 'x', 'cannot be filled'],
]);

it('keeps the width, and the letters become as high as that lets them', function (): void {
    [$short, $long] = [named('Al', []), named('Featherstonehaugh', [])];
    expect(size_of($long)[0])->toEqualWithDelta(2.4, 0.001)->and(size_of($short)[0])->toEqualWithDelta(2.4, 0.001)->and($short->letters['Name'])->toBeGreaterThan(4 * $long->letters['Name'])
        ->and(named('Al', ['most' => 0.8])->letters['Name'])->toEqualWithDelta(0.8, 0.002);
});

it('keeps the height of letters, but not beyond a width or a piece', function (): void {
    $height = named('Wren', ['keep' => 'letters'])->letters['Name'];
    expect(named('Featherstone', ['keep' => 'letters'])->letters['Name'])->toEqualWithDelta($height, 0.001)
        ->and(size_of(named('Featherstone', ['keep' => 'letters', 'widest' => 2.8]))[0])->toEqualWithDelta(2.8, 0.01)
        ->and(size_of(named('Featherstone', ['keep' => 'letters', 'within' => 'bar']))[0])->toEqualWithDelta(2.0 * 0.98, 0.01)
        ->and(size_of(named('Al', ['keep' => 'letters', 'within' => 'bar']))[0])->toBeLessThan(1.9);
});

it('fits into the pattern\'s own box', function (string $name): void {
    [$width, $height] = size_of(named('Wren', []));
    [$w, $h] = size_of(named($name, ['keep' => 'box']));
    expect($w)->toBeLessThanOrEqual($width + 0.002)->and($h)->toBeLessThanOrEqual($height + 0.002)->and(max($w / $width, $h / $height))->toEqualWithDelta(1.0, 0.01);
})->with(['Al', 'Featherstonehaugh', 'Jo Lee']);

it('tries tighter letters first, then lines, then the font for long words, and tells what it did', function (): void {
    $says = fn (Filled $filled): string => implode(' ', array_map(fn (RowNote $note): string => $note->says, $filled->notes));
    $whole = named('Anna Maria Featherstone', [])->letters['Name'];
    $rule = fn (float $least): array => ['least' => $least, 'tighter' => 60, 'lines' => 3, 'long' => 'bebas-neue.woff2'];
    expect($says(named('Anna Maria Featherstone', $rule($whole * 1.02))))->toContain('a little tighter')
        ->and($says(named('Anna Maria Featherstone', $rule($whole * 1.5))))->toContain('in 2 lines')
        ->and(named('Anna Maria Featherstone', $rule($whole * 1.5))->artwork->layer('name')->source->text)->toBe("Anna Maria\nFeatherstone")
        ->and($says(named('Featherstonehaugh', $rule(named('Featherstonehaugh', [])->letters['Name'] * 1.4))))->toContain('font for long words')
        ->and($says(named('Wren', $rule(0.1))))->toBe('');
});

it('says gravely that letters stay under what is the least', function (): void {
    $filled = named('Featherstonehaugh', ['least' => 1.0]);
    expect($filled->notes)->toHaveCount(1)->and($filled->notes[0])->grave->toBeTrue()->says->toContain('1.00 in is the least');
});

it('takes another font where letters are missing', function (): void {
    $without = named('רוח', []);
    $with = named('רוח', ['instead' => 'suez-one-hebrew.woff2']);
    expect(placer_of_series()->missing($without->artwork->layer('name')))->not->toBeNull()->and(placer_of_series()->missing($with->artwork->layer('name')))->toBeNull()
        ->and($with->artwork->layer('name')->source->font)->toBe('suez-one-hebrew.woff2')->and($with->notes[0]->says)->toContain('lacks some of its letters');
});

it('lays changes of one row on top', function (): void {
    $filling = new Filling(name_sheet(), pattern_of([['name' => 'Name', 'places' => ['name/source/text']]], '{Name} of the Road'), placer_of_series());
    $plain = $filling->row(['Name' => 'Rook'], title: 'Rook of the Road');
    $changed = $filling->row(['Name' => 'Rook'], ['name/placement/width' => '1.2', 'bar/on' => 'no']);

    expect($plain->artwork->title)->toBe('Rook of the Road')->and($plain->artwork->layer('name')->placement->width)->toBe(2.4)->and($changed->artwork->layer('name')->placement->width)->toBe(1.2)->and($changed->artwork->layer('bar')->on)->toBeFalse();
});

it('fits words under a warp that stretches them, too', function (string $name): void {
    $warped = name_sheet(['effects' => [1 => ['kind' => 'larger-ends', 'by' => 1.3, 'stand' => 'top'], ['kind' => 'stretch', 'down' => 1.5, 'across' => 1], ['kind' => 'arch', 'by' => 'inches', 'rise' => 0.3]]]);
    $was = placer_of_series()->place($warped->layer('name'));
    $is = placer_of_series()->place(named($name, ['keep' => 'box'], $warped)->artwork->layer('name'));
    expect($is->width)->toBeLessThanOrEqual($was->width * 1.002)->and($is->height)->toBeLessThanOrEqual($was->height * 1.002)->and(max($is->width / $was->width, $is->height / $was->height))->toEqualWithDelta(1.0, 0.003);
})->with(['Al', 'Rook', 'Featherstone']);
