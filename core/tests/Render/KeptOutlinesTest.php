<?php

declare(strict_types=1);

use TallCrow\Render\FolderPictures;
use TallCrow\Render\Frame;
use TallCrow\Render\Renderer;
use TallCrow\Tests\Fixtures;
use TallCrow\Tests\WatchedStore;

it('sets words and unites their outlines once, wherever they are moved and whatever they are inked with', function (string $join): void {
    $folder = Fixtures::temporary('kept-outlines');
    $draw = function (float $x, string $colour, float $width = 3.4, float $gap = 0.04) use ($join, $folder): array {
        $effects = [['kind' => 'arch', 'by' => 'percent', 'bend' => 0.2], ['kind' => 'fill', 'colour' => $colour], ['kind' => 'gap', 'width' => $gap], ['kind' => 'outline', 'width' => 0.06, 'colour' => '#204060', 'join' => $join]];
        $artwork = Fixtures::artwork([[...Fixtures::words('words', 'Hold the line, kite society of Quarry Road', $width, ['placement' => ['x' => $x, 'turn' => 12]]), 'effects' => $effects]]);
        $store = new WatchedStore(new FolderPictures($folder));
        $picture = (new Renderer(Fixtures::shelf(), $store))->picture($artwork, Frame::sheet($artwork->sheet, 100))->settled();

        return [$store->made, $picture];
    };
    [$first] = $draw(2.0, '#c04030');
    [$moved, $kept] = $draw(2.1234, '#306080');
    expect($first)->toContain('fitted', 'outline')->and($moved)->toBe([])
        // Of another size they are set and united anew, and of another gap the ring alone is drawn otherwise.
        ->and($draw(2.1234, '#306080', 3.0)[0])->toContain('fitted', 'outline');
    // What is kept draws what is made anew.
    $folder = Fixtures::temporary('kept-outlines');
    expect($kept->minus($draw(2.1234, '#306080')[1])->range())->toEqual([0.0, 0.0]);
})->with(['round', 'mitre']);
