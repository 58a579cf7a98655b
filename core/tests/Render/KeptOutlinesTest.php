<?php

declare(strict_types=1);

use TallCrow\Render\FolderPictures;
use TallCrow\Render\Frame;
use TallCrow\Render\Renderer;
use TallCrow\Tests\Fixtures;
use TallCrow\Tests\WatchedStore;

it('sets words and unites their outlines once, wherever they are moved, however they are turned and whatever they are inked with', function (string $join): void {
    $folder = Fixtures::temporary('kept-outlines');
    $draw = function (float $x, string $colour, float $width = 3.4, float $gap = 0.04, float $turn = 12) use ($join, &$folder): array {
        $effects = [['kind' => 'arch', 'by' => 'percent', 'bend' => 0.2], ['kind' => 'fill', 'colour' => $colour], ['kind' => 'gap', 'width' => $gap], ['kind' => 'outline', 'width' => 0.06, 'colour' => '#204060', 'join' => $join]];
        $artwork = Fixtures::artwork([[...Fixtures::words('words', 'Hold the line, kite society of Quarry Road', $width, ['placement' => ['x' => $x, 'turn' => $turn]]), 'effects' => $effects]]);
        $store = new WatchedStore(new FolderPictures($folder));
        $picture = (new Renderer(Fixtures::shelf(), $store))->picture($artwork, Frame::sheet($artwork->sheet, 100))->settled();

        return [$store->made, $picture];
    };
    [$first] = $draw(2.0, '#c04030');
    [$moved, $kept] = $draw(2.1234, '#306080');
    expect($first)->toContain('fitted', 'outline')->and($moved)->toBe([])->and($draw(2.0, '#c04030', turn: 100)[0])->toBe([])
        // Of another size they are set and united anew, and of another gap the ring alone is drawn otherwise.
        ->and($draw(2.1234, '#306080', 3.0)[0])->toContain('fitted', 'outline');
    // What is kept draws what is made anew.
    $folder = Fixtures::temporary('kept-outlines');
    expect($kept->minus($draw(2.1234, '#306080')[1])->range())->toEqual([0.0, 0.0]);
})->with(['round', 'mitre']);

it('traces and rings art, and sets the gap of a knockout, once wherever they are moved', function (array $layer): void {
    $folder = Fixtures::temporary('kept-outlines');
    $shelf = Fixtures::temporary('shoal');
    $fish = implode('', array_map(fn (int $i): string => sprintf('<circle cx="%d" cy="%d" r="4"/>', 6 + 12 * ($i % 9), 6 + 12 * intdiv($i, 9)), range(0, 80)));
    file_put_contents("$shelf/shoal.svg", "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 108 108\">$fish</svg>");
    $draw = function (float $x, float $turn = 8) use ($layer, &$folder, $shelf): array {
        $artwork = Fixtures::artwork([
            ['id' => 'below', 'source' => ['kind' => 'shape', 'shape' => 'rectangle'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2.8, 'height' => 3.8], 'effects' => [['kind' => 'fill', 'colour' => '#d9a441']]],
            ['placement' => ['x' => $x, 'y' => 2.0, 'width' => 2.4, 'height' => null, 'turn' => $turn]] + $layer,
        ]);
        $store = new WatchedStore(new FolderPictures($folder));
        $picture = (new Renderer(Fixtures::shelf($shelf), $store))->picture($artwork, Frame::sheet($artwork->sheet, 100))->settled();

        return [$store->made, $picture];
    };
    expect($draw(1.4)[0])->toContain('trace', 'outline');
    [$moved, $kept] = $draw(1.5678);
    expect($moved)->toBe([])->and($draw(1.4, 33.3)[0])->toBe([]);
    $folder = Fixtures::temporary('kept-outlines');
    expect($kept->minus($draw(1.5678)[1])->range())->toEqual([0.0, 0.0]);
})->with([
    'ringed art' => [['id' => 'art', 'source' => ['kind' => 'art', 'file' => 'shoal.svg', 'frame' => 'ink'], 'effects' => [['kind' => 'outline', 'width' => 0.05, 'colour' => '#204060']]]],
    'a knockout' => [['id' => 'art', 'role' => ['kind' => 'knockout', 'gap' => 0.05, 'join' => 'mitre'], 'source' => ['kind' => 'art', 'file' => 'shoal.svg', 'frame' => 'ink']]],
]);
