<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Preflight\ChangesNothing;
use TallCrow\Preflight\Finding;
use TallCrow\Preflight\SheetSubject;
use TallCrow\Render\Frame;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/subjects.php';

/** @return list<Finding> of a sheet whose pictures are those of the trial */
function lines_in_vain(Artwork $artwork, ?string $folder): array
{
    $shelf = Fixtures::shelf($folder);
    $renderer = Fixtures::renderer($shelf);

    return (new ChangesNothing)->sheet(new SheetSubject($artwork, $renderer, $shelf, $artwork->sheet->area(), picture_of($renderer->picture($artwork, Frame::sheet($artwork->sheet, 100))->settled(), 100, $artwork)));
}

it('tells of a line that looks for something and finds none', function (array $layer, ?string $finds): void {
    $folder = $layer['source']['kind'] === 'art' ? __DIR__.'/trial' : null;
    $artwork = Fixtures::artwork([$layer]);
    $found = lines_in_vain($artwork, $folder);
    expect(array_column($found, 'says'))->toBe($finds === null ? [] : ["A line of {$artwork->layers[0]->called()} $finds: it changes nothing. Set it otherwise, or take it out."]);
    if ($found !== []) {
        $left = Fixtures::edited($artwork, ...$found[0]->mends[0]->operations);
        expect($found[0]->key)->toBe('idle:a:1')->and($found[0]->where[0]->centreX())->toEqualWithDelta(1.5, 0.05)->and(array_column($left->layers[0]->effects, 'kind'))->toBe([$layer['effects'][0]['kind']])->and(lines_in_vain($left, $folder))->toBe([]);
    }
})->with(function (): array {
    $words = fn (array ...$lines): array => Fixtures::words('a', 'KITE DAY', 2.2, ['effects' => [1 => $lines[0], ...array_slice($lines, 1)]]);
    $art = fn (string $file, array ...$lines): array => ['id' => 'a', 'source' => ['kind' => 'art', 'file' => $file], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 1, 'height' => null], 'effects' => [['kind' => 'levels', 'middle' => 1.1], ...$lines]];
    $swap = fn (string $from, bool $on = true): array => ['kind' => 'swap-colour', 'from' => $from, 'to' => '#24506e', 'on' => $on];
    $clear = fn (string $colour, array $more = []): array => ['kind' => 'clear-colour', 'colour' => $colour, 'tolerance' => 6] + $more;

    return [
        'no such colour to swap' => [$words($swap('#3d9a57')), 'swaps a colour for another, and finds none like it'],
        'a colour for itself' => [$words(['kind' => 'swap-colour', 'from' => '#f3ead7', 'to' => '#f3ead7']), 'swaps a colour for itself'],
        'the colour of the letters' => [$words($swap('#f3ead7')), null],
        'switched off' => [$words($swap('#3d9a57', false)), null],
        'painted over afterwards' => [$words($swap('#f3ead7'), ['kind' => 'paper', 'paper' => 'kraft']), null],
        'no such colour to clear' => [$art('boxed.png', $clear('#ff00ff')), 'clears a colour, and finds none like it'],
        'the colour of its ground' => [$art('boxed.png', $clear('#ffffff')), null],
        'a ground' => [$art('boxed.png', ['kind' => 'clear-edge']), null],
        'art whose ground is gone' => [$art('freed.png', ['kind' => 'clear-edge']), 'clears the background, and finds none along the rim'],
        'a page in the shadow' => [$art('shaded.png', ['kind' => 'even-light']), null],
        'art without a page' => [$art('freed.png', ['kind' => 'even-light']), 'evens out light, and finds no smooth ground along the rim'],
        'what lies elsewhere' => [$art('boxed.png', $clear('#ffffff', ['area' => [['points' => [[0.5, 0.5], [0.52, 0.5]], 'width' => 0.02, 'keeps' => true]]])), 'clears a colour, and finds none like it'],
    ];
});

it('looks at a piece where it lies, in a group and bent', function (string $from, bool $isTold): void {
    $word = Fixtures::words('w', 'KITE', 1.6, ['effects' => [1 => ['kind' => 'swap-colour', 'from' => $from, 'to' => '#24506e']]]);
    $found = gauged(new ChangesNothing, Fixtures::artwork([['id' => 'g', 'source' => ['kind' => 'group', 'layers' => [$word]], 'effects' => [['kind' => 'arch', 'bend' => 0.3]]]]));
    expect(array_keys($found))->toBe($isTold ? ['idle:w:1'] : []);
})->with([['#f3ead7', false], ['#3d9a57', true]]);
