<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Upgrade\Upgrades;
use TallCrow\Tests\Fixtures;

/** Every sheet that was kept as it was saved in a version of the format. */
dataset('sheets of version 1', fn (): array => glob(dirname(__DIR__).'/fixtures/version-1/*.json') ?: []);

it('opens every sheet of version 1', function (string $file): void {
    $old = json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);
    expect($old['format'])->toBe('tallcrow.artwork/1');
    $artwork = ArtworkReader::json((string) file_get_contents($file));
    expect($artwork->toArray()['format'])->toBe(Artwork::FORMAT)
        ->and(count($artwork->everyLayer()))->toBe(substr_count((string) json_encode($old), '"source":'));
    $demo = dirname(__DIR__, 3).'/demo/artworks/'.basename($file);
    if (is_file($demo)) {
        expect($artwork)->toEqual(ArtworkReader::json((string) file_get_contents($demo)));
    }
})->with('sheets of version 1');

/** @return array<string, mixed> a sheet of version 1 with one layer */
function sheet_of_version_1(array $layer, array $more = []): array
{
    return ['format' => 'tallcrow.artwork/1'] + Fixtures::sheet([$layer + Fixtures::shape('plate', 'rectangle', 2)], $more);
}

it('reads each phrase of version 1 as the slug that took its place', function (string $kind, string $parameter, string $phrase, string $slug): void {
    $artwork = ArtworkReader::data(sheet_of_version_1(['effects' => [['kind' => $kind, $parameter => $phrase]]]));
    expect($artwork->layers[0]->effects[0]->values->word($parameter))->toBe($slug);
})->with([
    ['only', 'part', 'the right half of each letter', 'half-right'], ['only', 'part', 'the left half of each letter', 'half-left'],
    ['only', 'part', 'the top half of each letter', 'half-top'], ['only', 'part', 'the bottom half of each letter', 'half-bottom'],
    ['only', 'part', 'every second letter', 'every-second-letter'], ['only', 'part', 'every second word', 'every-second-word'],
    ['only', 'part', 'one letter', 'one-letter'], ['only', 'part', 'one word', 'one-word'], ['only', 'part', 'one line', 'one-line'], ['only', 'part', 'all', 'all'],
    ['letter-colours', 'way', 'in turn', 'in-turn'], ['letter-colours', 'way', 'from letter to letter', 'ramp'],
    ['paper', 'paper', 'halftone ramp', 'halftone-ramp'], ['paper', 'paper', 'animal spots', 'animal-spots'], ['paper', 'paper', 'gingham', 'gingham'],
    ['paper', 'each', 'through all of it', 'whole'], ['picture', 'each', 'anew for each letter', 'each-letter'],
    ['line', 'fit', 'as sized', 'as-sized'], ['line', 'fit', 'to the widest', 'widest'],
    ['case', 'as', 'as typed', 'as-typed'], ['case', 'as', 'small letters', 'small-letters'], ['case', 'as', 'first letters', 'first-letters'], ['case', 'as', 'capitals', 'capitals'],
]);

it('reads the repeats of version 1', function (array $old, array $new): void {
    $artwork = ArtworkReader::data(sheet_of_version_1(['repeat' => $old + ['kind' => 'radial', 'x' => 1, 'y' => 1]]));
    expect($artwork->toArray()['layers'][0]['repeat'])->toMatchArray($new);
})->with([
    [['kind' => 'mirror across', 'as' => 'the same'], ['kind' => 'mirror-across', 'as' => 'same']],
    [['kind' => 'mirror down', 'as' => 'in another colour'], ['kind' => 'mirror-down', 'as' => 'another-colour']],
    [['facing' => 'every second mirrored', 'as' => 'knocked out'], ['facing' => 'every-second-mirrored', 'as' => 'knocked-out']],
]);

it('reads the textures of version 1 on the sheet, on layers and in groups', function (string $old, string $new): void {
    $wear = [['texture' => $old]];
    $group = ['id' => 'both', 'source' => ['kind' => 'group', 'layers' => [Fixtures::shape('inner', 'star', 1, more: ['distress' => $wear])]], 'distress' => $wear];
    $artwork = ArtworkReader::data(['layers' => [$group]] + sheet_of_version_1([], ['distress' => $wear]));
    expect($artwork->distress[0]->texture)->toBe($new)->and($artwork->layers[0]->distress[0]->texture)->toBe($new)
        ->and($artwork->layer('inner')?->distress[0]->texture)->toBe($new);
})->with([
    ['dry roller', 'dry-roller'], ['fold lines', 'fold-lines'], ['chipped edges', 'chipped-edges'], ['halftone wear', 'halftone-wear'],
    ['fabric weave', 'fabric-weave'], ['water stain', 'water-stain'], ['speckle', 'speckle'],
]);

it('leaves what a seller wrote as it is, also where it reads like a phrase', function (): void {
    $words = Fixtures::words('w', 'one letter', 2, ['name' => 'in turn']);
    $artwork = ArtworkReader::data(['layers' => [$words], 'title' => 'dry roller'] + sheet_of_version_1([]));
    expect($artwork->title)->toBe('dry roller')->and($artwork->layers[0]->name)->toBe('in turn')->and($artwork->toArray()['layers'][0]['source']['text'])->toBe('one letter');
});

it('refuses a phrase in a file of today', function (): void {
    ArtworkReader::data(Fixtures::sheet([Fixtures::shape('a', 'star', 1, more: ['effects' => [1 => ['kind' => 'only', 'part' => 'one letter']]])]));
})->throws(ArtworkInvalid::class, 'layers[0].effects[1].part: must be one of all, half-right');

it('leaves what is no file of an earlier version for the reader to refuse', function (mixed $data): void {
    expect(Upgrades::newest($data))->toBe($data)->and(fn () => ArtworkReader::data($data))->toThrow(ArtworkInvalid::class);
})->with([[null], ['tallcrow.artwork/1'], [[]], [['format' => 'tallcrow.artwork/0']], [['format' => 1]]]);

it('says what is wrong with a spoiled file of version 1', function (mixed $layers): void {
    expect(fn () => ArtworkReader::data(['layers' => $layers] + sheet_of_version_1([])))->toThrow(ArtworkInvalid::class);
})->with([
    ['x'], [['x']], [[['effects' => 'x']]], [[['effects' => ['x', ['kind' => 7, 'part' => []]], 'repeat' => 3, 'source' => null, 'distress' => [4]]]],
    fn (): array => array_reduce(range(1, 40), fn (array $in): array => [['id' => 'g', 'source' => ['kind' => 'group', 'layers' => $in]]], []),
]);

/** Every sheet that was kept as it was saved in version 2. */
dataset('sheets of version 2', fn (): array => glob(dirname(__DIR__).'/fixtures/version-2/*.json') ?: []);

it('opens every sheet of version 2 with its pictures as they were framed', function (string $file): void {
    expect(json_decode((string) file_get_contents($file), true)['format'])->toBe('tallcrow.artwork/2');
    $artwork = ArtworkReader::json((string) file_get_contents($file));
    $frames = array_map(fn ($layer): ?string => $layer->source instanceof TallCrow\Artwork\ArtSource ? $layer->source->frame->value : null, $artwork->everyLayer());
    expect($artwork->toArray()['format'])->toBe(Artwork::FORMAT)->and(array_diff(array_filter($frames), ['file']))->toBe([])
        ->and($artwork)->toEqual(ArtworkReader::json((string) file_get_contents(dirname(__DIR__, 3).'/demo/artworks/'.basename($file))));
})->with('sheets of version 2');
