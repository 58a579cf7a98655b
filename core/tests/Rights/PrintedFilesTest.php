<?php

declare(strict_types=1);

use TallCrow\Rights\PrintedAs;
use TallCrow\Rights\PrintedFile;
use TallCrow\Rights\PrintedFiles;
use TallCrow\Tests\Fixtures;

/** @return array<string, mixed> */
function art_piece(string $id, string $file, array $more = []): array
{
    return ['id' => $id, 'source' => ['kind' => 'art', 'file' => $file], 'placement' => ['x' => 1, 'y' => 1, 'width' => 1, 'height' => null]] + $more;
}

/** @return array<string, list<string>> */
function printed_ways(array $layers, array $more = []): array
{
    $files = PrintedFiles::of(Fixtures::artwork($layers, $more));

    return array_combine(array_map(fn (PrintedFile $file): string => $file->name, $files), array_map(fn (PrintedFile $file): array => array_map(fn (PrintedAs $way): string => $way->value, $file->ways), $files));
}

it('finds all that takes part in the print, and not what is off', function (): void {
    $ways = printed_ways([
        Fixtures::words('word', 'KITE', 1.0, ['effects' => [1 => ['kind' => 'picture', 'file' => 'rock-pool.png'], 2 => ['kind' => 'line', 'number' => 1, 'font' => 'rye.woff2'], 3 => ['kind' => 'picture', 'file' => 'off.png', 'on' => false]]]),
        art_piece('moth', 'moth.svg', ['masks' => [['kind' => 'picture', 'file' => 'light.png'], ['kind' => 'picture', 'file' => 'dark.png', 'on' => false]], 'distress' => [['texture' => 'picture', 'file' => 'scratch.png'], ['texture' => 'picture', 'file' => 'gone.png', 'on' => false]]]),
        art_piece('hidden', 'hidden.svg', ['on' => false]),
        ['id' => 'pair', 'on' => false, 'source' => ['kind' => 'group', 'layers' => [art_piece('inner', 'inner.svg')]]],
        art_piece('hole', 'hole.svg', ['role' => ['kind' => 'knockout']]),
    ], ['distress' => [['texture' => 'picture', 'file' => 'scratch.png']]]);

    expect($ways)->toMatchArray(['moth.svg' => ['picture'], 'hole.svg' => ['picture'], 'light.png' => ['mask'], 'scratch.png' => ['wear'], 'rock-pool.png' => ['fill'], 'rye.woff2' => ['font']])
        ->and(array_intersect_key($ways, array_flip(['off.png', 'dark.png', 'gone.png', 'hidden.svg', 'inner.svg'])))->toBe([]);
});

it('measures from the sheet whether a picture is printed as it came', function (array $layers, array $more, bool $alone): void {
    $moth = array_values(array_filter(PrintedFiles::of(Fixtures::artwork($layers, $more)), fn (PrintedFile $file): bool => $file->name === 'moth.svg'))[0] ?? null;
    expect($moth?->unaltered)->toBe($alone);
})->with([
    'alone' => [[art_piece('m', 'moth.svg')], [], true],
    'beside a piece that is off' => [[art_piece('m', 'moth.svg'), Fixtures::shape('s', 'star', 1, more: ['on' => false])], [], true],
    'alone in a group' => [[['id' => 'g', 'source' => ['kind' => 'group', 'layers' => [art_piece('m', 'moth.svg')]]]], [], true],
    'with its line off' => [[art_piece('m', 'moth.svg', ['effects' => [['kind' => 'fill', 'on' => false]]])], [], true],
    'beside another' => [[art_piece('m', 'moth.svg'), Fixtures::shape('s', 'star', 1)], [], false],
    'coloured' => [[art_piece('m', 'moth.svg', ['effects' => [['kind' => 'fill']]])], [], false],
    'cut' => [[art_piece('m', 'moth.svg', ['masks' => [['kind' => 'ellipse']]])], [], false],
    'worn' => [[art_piece('m', 'moth.svg', ['distress' => [['texture' => 'cracks']]])], [], false],
    'worn with the sheet' => [[art_piece('m', 'moth.svg')], ['distress' => [['texture' => 'cracks']]], false],
    'repeated' => [[art_piece('m', 'moth.svg', ['repeat' => ['kind' => 'radial', 'x' => 1, 'y' => 1]])], [], false],
    'in a bent group' => [[['id' => 'g', 'effects' => [['kind' => 'arch']], 'source' => ['kind' => 'group', 'layers' => [art_piece('m', 'moth.svg')]]]], [], false],
]);
