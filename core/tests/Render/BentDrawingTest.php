<?php

declare(strict_types=1);

use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Tests\Fixtures;

/** A moth drawn with a pen: lines of several widths, corners, caps and dashes, some over a fill. */
const PEN = <<<'SVG'
    <svg xmlns="http://www.w3.org/2000/svg" width="200" height="160" viewBox="0 0 200 160"><g fill="none" stroke="#24303a" stroke-width="5" stroke-linecap="round" stroke-linejoin="round">
    <path d="M100 60C70 10 20 8 12 30S40 90 92 88" fill="#e0b060"/><path d="M100 60C130 10 180 8 188 30S160 90 108 88" fill="#e0b060"/><ellipse cx="100" cy="90" rx="9" ry="42" fill="#802080" stroke-width="3"/>
    <path d="M96 46C90 20 80 16 72 12M104 46C110 20 120 16 128 12" stroke-width="2.5"/><path d="M30 130L60 100L70 140L100 142L130 140L140 100L170 130" stroke-linejoin="miter" stroke-linecap="square"/>
    <path d="M24 34C40 60 60 74 90 78M176 34C160 60 140 74 110 78" stroke-dasharray="7 9" stroke-width="4"/></g></svg>
    SVG;

/** A drawing of the fixtures under some lines, on a shelf on which it stands twice: as it is, and as one that must be painted before it is bent. */
function bent_drawing(string $name, array $lines, float $ppi, bool $isPainted = false): Image
{
    $shelf = Fixtures::temporary('bent-drawings');
    $markup = $name === 'pen' ? PEN : (string) file_get_contents(Fixtures::assets()."/$name.svg");
    file_put_contents("$shelf/flat.svg", $markup);
    // To draw it as precisely as it is drawn anyway says nothing, but is more than flat figures.
    file_put_contents("$shelf/painted.svg", preg_replace('/<svg\b/', '<svg shape-rendering="geometricPrecision"', $markup, 1));
    $artwork = Fixtures::artwork([['id' => 'a', 'source' => ['kind' => 'art', 'file' => $isPainted ? 'painted.svg' : 'flat.svg'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2.4, 'height' => null, 'turn' => 12, 'flip' => 'across'], 'effects' => $lines]]);

    return Fixtures::render($artwork, $ppi, $shelf);
}

// Two ways that have nothing in common but the warp: outlines sent forth by it, and pixels looked up by its way back.
it('bends the outlines of a flat drawing as it bends the pixels of any', function (string $name, array $lines): void {
    [$flat, $painted] = [bent_drawing($name, $lines, 100)->alpha(), bent_drawing($name, $lines, 100, true)->alpha()];
    $off = $flat->minus($painted)->operation('abs')->settled();
    expect($painted->mean())->toBeGreaterThan(10.0)->and($off->mean())->toBeLessThan(0.35)->and($off->range()[1])->toBeLessThan(40.0);
})->with([
    'an arch' => ['crab', [['kind' => 'arch', 'bend' => 0.4]]], 'a flag' => ['raven', [['kind' => 'flag', 'bend' => 0.3]]], 'a wave' => ['kite', [['kind' => 'wave', 'bend' => 0.15]]],
    'a pinch' => ['ringing-bell', [['kind' => 'pinch', 'bend' => 0.4]]], 'a part of a ring' => ['old-lantern', [['kind' => 'ring', 'bend' => 0.15]]], 'an arch over strokes' => ['pen', [['kind' => 'arch', 'bend' => 0.4]]], 'strokes on a ring' => ['pen', [['kind' => 'ring', 'bend' => 0.15]]], 'two of them' => ['crab', [['kind' => 'bulge'], ['kind' => 'rise', 'bend' => 0.3]]],
]);

it('draws a part of a bent drawing as the whole has it', function (): void {
    $lines = [['kind' => 'flag', 'bend' => 0.3]];
    $artwork = Fixtures::artwork([['id' => 'a', 'source' => ['kind' => 'art', 'file' => 'crab.svg'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2.4, 'height' => null], 'effects' => $lines]]);
    $whole = Fixtures::renderer()->picture($artwork, Frame::sheet($artwork->sheet, 300))->settled();
    foreach ([[200, 400, 120, 90], [431, 517, 33, 210], [100, 600, 700, 17]] as [$x, $y, $width, $height]) {
        $off = Fixtures::renderer()->picture($artwork, new Frame(300, $x, $y, $width, $height))->minus($whole->crop($x, $y, $width, $height))->operation('abs')->settled();
        expect($off->range()[1])->toBeLessThanOrEqual(2.0);
    }
});

it('rings a bent drawing along its bent outlines', function (): void {
    $ring = ['kind' => 'outline', 'width' => 0.1, 'colour' => '#9031a3', 'side' => 'outside', 'join' => 'round'];
    $lines = [['kind' => 'arch', 'bend' => 0.4], $ring];
    [$flat, $painted] = [bent_drawing('crab', $lines, 150)->alpha(), bent_drawing('crab', $lines, 150, true)->alpha()];
    $off = $flat->minus($painted)->operation('abs')->settled();
    expect($off->mean())->toBeLessThan(0.5)->and($flat->mean())->toBeGreaterThan(bent_drawing('crab', [$lines[0]], 150)->alpha()->mean() + 5);
});
