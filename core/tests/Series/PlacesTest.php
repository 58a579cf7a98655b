<?php

declare(strict_types=1);

use TallCrow\Series\Evenness;
use TallCrow\Series\Places;
use TallCrow\Tests\Fixtures;

/**
 * What Places tells of a sheet, by place.
 *
 * @return array<string, array{string, string}> what it says, and what stands there
 */
function places_told(array $layers, array $more = []): array
{
    $told = [];
    foreach (Places::of(Fixtures::artwork($layers, $more)) as $one) {
        $told[$one['place']] = [$one['says'], $one['value']];
    }

    return $told;
}

it('tells every token of words, of their lines, masks and place, and what stands there', function (): void {
    $told = places_told([Fixtures::words('w', "Quarry\nRoad", 3, [
        'placement' => ['x' => 2.0, 'y' => 1.5, 'turn' => 10],
        'effects' => [['kind' => 'fill', 'colour' => '#b04a2c'], ['kind' => 'outline', 'width' => 0.05, 'colour' => '#1d2740', 'join' => 'round']],
        'masks' => [['kind' => 'ellipse', 'x' => 0.5, 'y' => 0.5, 'width' => 1.2, 'height' => 1.2]],
    ])], ['title' => 'Moth night']);
    $says = array_map(fn (array $one): string => $one[0], $told);
    expect($says)->toMatchArray([
        '/title' => 'title of the design',
        '/garments' => 'cloths on offer',
        'w/source/text' => 'Quarry / Road: words',
        'w/source/font' => 'Quarry / Road: font',
        'w/placement/width' => 'Quarry / Road: width, in',
        'w/placement/x' => 'Quarry / Road: middle across, in',
        'w/placement/y' => 'Quarry / Road: middle down, in',
        'w/placement/turn' => 'Quarry / Road: turn, degrees',
        'w/on' => 'Quarry / Road: on or off',
        'w/effects/0/colour' => 'Quarry / Road: line fill, colour',
        'w/effects/0/on' => 'Quarry / Road: line fill, on or off',
        'w/effects/1/width' => 'Quarry / Road: line outline, width',
        'w/effects/1/join' => 'Quarry / Road: line outline, join',
        'w/masks/0/width' => 'Quarry / Road: mask ellipse, width',
    ])
        ->and($told['/title'][1])->toBe('Moth night')
        ->and($told['w/source/text'][1])->toBe('Quarry / Road')
        ->and($told['w/effects/0/colour'][1])->toBe('#b04a2c')
        ->and($told['w/placement/width'][1])->toBe('3')
        ->and(array_keys($told))->not->toContain('w/effects/0/kind', 'w/masks/0/kind', 'w/source/file', 'w/repeat/count', 'w/placement/height')
        // Nothing but tokens: no lists, and nothing that is not there.
        ->and(array_filter(array_keys($says), fn (string $place): bool => str_contains($place, '/source/kind') || str_contains($place, '/follows')))->toBe([]);
});

it('tells the picture of art, the copies of what is repeated, and the wear of one piece by its texture', function (): void {
    $told = places_told([
        ['id' => 'a', 'source' => ['kind' => 'art', 'file' => 'kite.svg'], 'placement' => ['x' => 2, 'y' => 2, 'width' => 1.5, 'height' => 2.5], 'repeat' => ['kind' => 'radial', 'x' => 2, 'y' => 2, 'count' => 7, 'facing' => 'turned']],
        Fixtures::shape('s', 'ellipse', 2, more: ['distress' => [['texture' => 'speckle', 'amount' => 0.3]]]),
    ]);
    expect($told['a/source/file'][0])->toEndWith(': picture')->and($told['a/source/file'][1])->toBe('kite.svg')
        ->and($told['a/placement/height'][0])->toEndWith(': height, in')->and($told['a/placement/height'][1])->toBe('2.5')
        ->and($told['a/repeat/count'][0])->toEndWith(': number of copies')->and($told['a/repeat/count'][1])->toBe('7')
        ->and($told['s/distress/0/amount'][0])->toEndWith(': wear speckle, amount')->and($told['s/distress/0/amount'][1])->toBe('0.3')
        ->and($told)->not->toHaveKeys(['s/distress/0/texture', 's/source/text', 's/repeat/count'])
        ->and(array_keys($told))->not->toContain('a/source/text', 'a/source/font');
});

it('tells what stands in groups, each by its own name', function (): void {
    $told = places_told([['id' => 'g', 'source' => ['kind' => 'group', 'layers' => [Fixtures::words('inner', 'Bell', 1)]]]]);
    expect($told['inner/source/text'])->toBe(['Bell: words', 'Bell'])->and($told)->toHaveKey('g/on');
});

it('cuts long words short where they are told', function (): void {
    $told = places_told([Fixtures::words('w', str_repeat('tide pool ', 12), 3)]);
    expect(mb_strlen($told['w/source/text'][1]))->toBe(60)->and($told['w/source/text'][1])->toEndWith('…');
});

it('tells rows whose letters are under three fifths of the middle, from three rows on', function (): void {
    $rows = fn (array $heights): array => array_map(fn (float $height): array => ['name' => $height], $heights);
    $noted = fn (array $heights): array => array_keys(Evenness::notes($rows($heights)));
    expect($noted([1.0, 1.0, 0.599]))->toBe([2])
        // Just three fifths are enough.
        ->and($noted([1.0, 1.0, 0.6]))->toBe([])
        ->and($noted([2.0, 1.19, 2.0, 2.0]))->toBe([1])
        ->and($noted([1.0, 0.1]))->toBe([])
        // The middle, not the mean or the greatest: one giant makes nothing small.
        ->and($noted([1.0, 1.0, 9.0]))->toBe([])
        ->and($noted([0.5, 1.0, 1.0, 0.5, 1.0]))->toBe([0, 3]);
    [$note] = Evenness::notes($rows([1.0, 1.0, 0.5]))[2];
    expect($note->grave)->toBeFalse()->and($note->says)->toBe('name: letters of 0.50 in beside 1.00 in of most rows: small beside the others.');
});

it('weighs each slot of the rows by itself', function (): void {
    $notes = Evenness::notes([['name' => 1.0, 'year' => 0.2], ['name' => 1.0, 'year' => 0.2], ['name' => 0.3, 'year' => 0.2], ['name' => 1.0, 'year' => 0.05]]);
    expect(array_keys($notes))->toEqualCanonicalizing([2, 3])->and($notes[2][0]->says)->toStartWith('name: ')->and($notes[3][0]->says)->toStartWith('year: ')->and($notes[2])->toHaveCount(1);
});
