<?php

declare(strict_types=1);

use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;

/** A kite over a sun that its page cuts in half, and what nobody is to see far beside it: by the page, and by the sun's own outline. */
const CUT_BY = [
    'page' => '<circle cx="90" cy="50" r="30" fill="#c05030"/><rect x="20" y="40" width="20" height="20" fill="#24506e"/><rect x="105" y="90" width="20" height="20" fill="#24506e"/>',
    'outline' => '<path d="M100 21.7157288A30 30 0 1 0 100 78.2842712z" fill="#c05030"/><rect x="20" y="40" width="20" height="20" fill="#24506e"/>',
];

function cut_by(string $what, array $placement, array $lines, string $frame, string $root = ''): Image
{
    $shelf = Fixtures::temporary('beyond-page');
    file_put_contents("$shelf/sun.svg", '<svg xmlns="http://www.w3.org/2000/svg" width="200" height="200" viewBox="0 0 100 100"'.$root.'>'.CUT_BY[$what].'</svg>');
    $artwork = Fixtures::artwork([['id' => 'a', 'source' => ['kind' => 'art', 'file' => 'sun.svg', 'frame' => $frame], 'placement' => $placement + ['x' => 1.9, 'y' => 2.1, 'width' => 1.6, 'height' => null], 'effects' => $lines]]);

    return Fixtures::render($artwork, 150, $shelf)->operation('premultiply')->settled();
}

it('draws nothing of what lies beyond the page of a drawing, however it is laid', function (array $placement, array $lines, string $frame, string $root = ''): void {
    $outline = cut_by('outline', $placement, $lines, $frame);
    $off = cut_by('page', $placement, $lines, $frame, $root)->minus($outline)->operation('abs')->settled();
    // Along the cut the library draws one edge by two ways.
    expect($outline->alpha()->mean())->toBeGreaterThan(10.0)->and($off->mean())->toBeLessThan(0.02)->and($off->range()[1])->toBeLessThan(96.0);
})->with([
    'turned' => [['turn' => 30], [], 'ink'], 'turned and mirrored' => [['turn' => -50, 'flip' => 'across'], [], 'ink'], 'as framed' => [['turn' => 30], [], 'file'], 'ringed' => [['turn' => 30], [['kind' => 'outline', 'width' => 0.1, 'colour' => '#102030']], 'ink'],
    'bent' => [['turn' => 30], [['kind' => 'arch', 'bend' => 0.3]], 'ink'], 'bent from pixels' => [['turn' => 30], [['kind' => 'arch', 'bend' => 0.3]], 'ink', ' shape-rendering="geometricPrecision"'], 'shaded' => [['turn' => 30], [['kind' => 'shadow', 'distance' => 0.2, 'angle' => 40, 'as' => 'solid']], 'ink'],
]);

it('sees what lies a little beyond the page, and what is thin and far from it', function (string $beyond, string $within): void {
    $area = function (string $figure): float {
        $shelf = Fixtures::temporary('a-little-beyond');
        file_put_contents("$shelf/kite.svg", '<svg xmlns="http://www.w3.org/2000/svg" width="200" height="200" viewBox="0 0 100 100"><rect x="30" y="30" width="40" height="40"/>'.$figure.'</svg>');

        return Fixtures::render(Fixtures::artwork([['id' => 'a', 'source' => ['kind' => 'art', 'file' => 'kite.svg', 'frame' => 'file'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 1.5, 'height' => null, 'turn' => 45]]]), 300, $shelf)->alpha()->area();
    };

    // Print pixels: what lies beyond has a hundred of them.
    expect($area($beyond) - $area($within))->toEqualWithDelta(0.0, 12.0);
})->with([
    'a quarter of a hundredth' => ['<rect x="60" y="40" width="40.25" height="20"/>', '<rect x="60" y="40" width="40" height="20"/>'],
    'a hairline' => ['<rect x="110" y="30" width="0.12" height="40"/>', ''],
]);
