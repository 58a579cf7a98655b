<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Colour\Srgb;
use TallCrow\Effect\Catalogue;
use TallCrow\Effect\FollowsEdge;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inks;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Render\Frame;
use TallCrow\Tests\Fixtures;

const RINGED = [['kind' => 'outline', 'width' => 0.1, 'colour' => '#b04a2c'], ['kind' => 'gap', 'width' => 0.05], ['kind' => 'outline', 'width' => 0.05, 'colour' => '#24382c']];

/**
 * @param  list<array<string, mixed>>  $effects  over a fill
 * @return array<string, mixed> an ellipse that shows 0.8 of the box
 */
function oval(string $rings = 'around', float $feather = 0.0, bool $inverted = false): array
{
    return ['kind' => 'ellipse', 'x' => 0.5, 'y' => 0.5, 'width' => 0.8, 'height' => 0.8, 'feather' => $feather, 'inverted' => $inverted, 'rings' => $rings];
}

/** @return array<string, array<string, mixed>> pieces of 2 × 2 in about the middle, each inked in its own way, without rings */
function ovals_of(): array
{
    $place = ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => 2];
    $inner = ['placement' => $place] + Fixtures::shape('inner', 'rectangle', 2, '#2f6f73');

    return [
        'a shape' => ['placement' => $place] + Fixtures::shape('p', 'rectangle', 2, '#2f6f73'),
        'a picture' => ['id' => 'p', 'source' => ['kind' => 'art', 'file' => 'night-sky.png', 'frame' => 'file'], 'placement' => $place, 'effects' => [['kind' => 'fill', 'colour' => '#2f6f73']]],
        'a group' => ['id' => 'p', 'source' => ['kind' => 'group', 'layers' => [$inner]], 'effects' => []],
    ];
}

/** @param  list<array<string, mixed>>  $masks */
function masked(array $piece, array $masks, array $effects = RINGED): Artwork
{
    return Fixtures::artwork([['effects' => [...$piece['effects'], ...$effects], 'masks' => $masks] + $piece]);
}

/** Coverage of discs about the middle of the sheet, by the distance of each pixel to their edges: those of even place are ink, the others cut it. */
function discs(float ...$radii): Image
{
    $bytes = '';
    for ($y = 0; $y < 1200; $y++) {
        for ($x = 0; $x < 900; $x++) {
            $covered = 0.0;
            foreach ($radii as $i => $radius) {
                $disc = max(0.0, min(1.0, 0.5 + 300 * $radius - hypot($x - 449.5, $y - 599.5)));
                $covered = $i % 2 === 0 ? max($covered, $disc) : min($covered, 1 - $disc);
            }
            $bytes .= chr((int) round(255 * $covered));
        }
    }

    return Image::raw($bytes, 900, 1200, 1);
}

/** @return array{float, float} the greatest difference of two masks, and the share of pixels that are off by more than 24 */
function coverage_off(Image $one, Image $other): array
{
    $off = $one->minus($other)->operation('abs')->settled();

    return [$off->range()[1], $off->isMore(24.0)->mean() / 255];
}

it('lays rings around what a mask leaves of any piece', function (string $kind, float $turn): void {
    $piece = ovals_of()[$kind];
    if (isset($piece['placement'])) {
        $piece['placement']['turn'] = $turn;
    }
    $ink = Fixtures::render(masked($piece, [oval()]))->alpha()->settled();
    // The group's box is that of its pieces; the mask is a circle of 0.8 in whatever the piece's turn.
    [$most, $share] = coverage_off($ink, discs(1.0, 0.95, 0.9));
    expect($most)->toBeLessThan(30.0)->and($share)->toBeLessThan(2e-4);
})->with([['a shape', 0], ['a picture', 0], ['a group', 0], ['a shape', 30], ['a picture', -20]]);

it('keeps the body as it is within, and the ring\'s own colour about it', function (string $kind): void {
    $ink = Fixtures::render(masked(ovals_of()[$kind], [oval()]));
    expect(Fixtures::pixel($ink, 450, 600))->toBe([47, 111, 115, 255])->and(Fixtures::pixel($ink, 450, 600 - 255))->toBe([176, 74, 44, 255])
        ->and(Fixtures::pixel($ink, 450, 600 - 292))->toBe([36, 56, 44, 255])->and(Fixtures::pixel($ink, 450, 600 - 277)[3])->toBe(0);
})->with(array_keys(ovals_of()));

it('cuts the rings, too, where the mask says so, is soft, or says nothing', function (array $mask): void {
    foreach (ovals_of() as $kind => $piece) {
        if ($kind === 'a group') {
            continue;
        }
        $cut = fn (array $masks): Image => Fixtures::render(masked($piece, $masks), 60)->alpha()->settled();
        $bare = $cut([]);
        // What the mask is by itself, on a plate that is larger than all rings.
        $alone = Fixtures::render(Fixtures::artwork([['masks' => [['width' => $mask['width'] / 1.5, 'height' => $mask['height'] / 1.5] + $mask], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 3, 'height' => 3]] + Fixtures::shape('q', 'rectangle', 3)]), 60)->alpha()->settled();
        expect(coverage_off($cut([$mask]), $bare->times($alone)->settled())[0])->toBeLessThan(6.0);
    }
})->with([
    'cut' => [oval('cut')], 'soft' => [oval('around', 0.4)], 'nothing said' => [array_diff_key(oval(), ['rings' => true])],
]);

it('lays rings about letters that are cut, at their width from all that is left', function (): void {
    $words = ['placement' => ['x' => 1.5, 'y' => 2, 'width' => 2.4, 'height' => null]] + Fixtures::words('p', 'MOTH', 2.4);
    $ring = [['kind' => 'outline', 'width' => 0.06, 'colour' => '#b04a2c', 'crumbs' => 0.0]];
    $folder = Fixtures::temporary('letters');
    ImageFile::writePng(Fixtures::render(masked($words, [oval()], [])), "$folder/body.png", 1);
    // The distance to the cut letters by ImageMagick, in hundredths of a pixel.
    Fixtures::run(['convert', "$folder/body.png", '-alpha', 'extract', '-threshold', '50%', '-negate', '-depth', '16', '-morphology', 'Distance', 'Euclidean:7,100', "gray:$folder/far.gray"]);
    $far = array_values((array) unpack('v*', (string) file_get_contents("$folder/far.gray")));
    $ink = array_values((array) unpack('C*', Fixtures::render(masked($words, [oval()], $ring))->alpha()->toBytes()));
    $off = 0;
    foreach ($far as $i => $hundredths) {
        // 0.06 in are 18 px; a pixel and a half is left for both edges.
        $off += $hundredths < 1650 && $ink[$i] < 250 || $hundredths > 2000 && $ink[$i] > 5 ? 1 : 0;
    }
    expect($off)->toBe(0)->and(array_sum($ink) / 255)->toBeGreaterThan(20_000);
});

it('leaves hollow letters a line along the cut, and an emboldened body its weight', function (): void {
    $hollow = [['kind' => 'hollow', 'width' => 0.1, 'colour' => '#b04a2c']];
    expect(coverage_off(Fixtures::render(masked(ovals_of()['a shape'], [oval()], $hollow))->alpha()->settled(), discs(0.8, 0.7))[1])->toBeLessThan(2e-4);
    $bold = [['kind' => 'embolden', 'by' => 0.3], ...RINGED];
    // The mask still lies about the piece as it was placed, so it cuts the bolder body to the same circle.
    expect(coverage_off(Fixtures::render(masked(ovals_of()['a shape'], [oval()], $bold))->alpha()->settled(), discs(1.0, 0.95, 0.9))[1])->toBeLessThan(2e-4);
});

it('takes masks that rings go around before those that cut them', function (): void {
    $half = ['kind' => 'rectangle', 'x' => 0.5, 'y' => 0.0, 'width' => 9, 'height' => 1.0, 'rings' => 'cut'];
    $ink = Fixtures::render(masked(ovals_of()['a shape'], [$half, oval()]))->alpha()->settled();
    $whole = discs(1.0, 0.95, 0.9);
    expect(coverage_off($ink->crop(0, 0, 900, 599), $whole->crop(0, 0, 900, 599))[1])->toBeLessThan(4e-4)->and($ink->crop(0, 602, 900, 598)->settled()->range()[1])->toBe(0.0);
});

it('goes around the clip to another layer, and around what a cut leaves', function (): void {
    $disc = ['on' => false, 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 1.6, 'height' => 1.6]] + Fixtures::shape('disc', 'ellipse', 1.6);
    $clipped = masked(ovals_of()['a picture'], [['kind' => 'clip', 'layer' => 'disc', 'rings' => 'around']])->toArray();
    $ink = Fixtures::render(Fixtures::artwork([$disc, ...(array) $clipped['layers']]))->alpha()->settled();
    expect(coverage_off($ink, discs(1.0, 0.95, 0.9))[1])->toBeLessThan(2e-4);
    // A hole in the middle: rings lie within it, too.
    $holed = Fixtures::render(masked(ovals_of()['a shape'], [oval(inverted: true)], [['kind' => 'outline', 'width' => 0.1, 'colour' => '#b04a2c']]))->alpha()->settled();
    expect(coverage_off($holed->crop(150, 300, 600, 600), discs(0.7)->inverted()->crop(150, 300, 600, 600)->settled())[1])->toBeLessThan(5e-4);
});

it('is the same in a part and in a proof as in the print', function (string $kind): void {
    $artwork = masked(ovals_of()[$kind], [oval()]);
    $print = Fixtures::render($artwork);
    $part = Fixtures::renderer()->picture($artwork, new Frame(300, 301, 217, 333, 411))->settled();
    expect($part->minus($print->crop(301, 217, 333, 411)->settled())->operation('abs')->settled()->range()[1])->toBeLessThanOrEqual(2.0);
    $proof = Composition::premultiplied(Fixtures::render($artwork, 60));
    $off = Composition::premultiplied($print)->shrunk(5)->settled()->minus($proof)->operation('abs')->settled();
    expect($off->mean())->toBeLessThan(0.3)->and($off->isMore(24.0)->mean() / 255)->toBeLessThan(0.002);
})->with(array_keys(ovals_of()));

it('knows every effect that follows the edge by what it lays there', function (): void {
    foreach (Catalogue::classes() as $kind => $class) {
        if (is_a($class, Inks::class, true)) {
            $effect = Fixtures::effect($kind);
            assert($effect instanceof Inks);
            $inking = $effect->ink(Inking::plain(Srgb::hex('#000000'))->ringed(new TallCrow\Effect\Inking\Ring(0.1, null)));
            expect(is_a($class, FollowsEdge::class, true))->toBe(count([...$inking->withoutEdges()->rings, ...$inking->rings, ...$inking->inlines, ...$inking->shadows]) > 1 || $inking->backing !== null, $kind);
        }
    }
});

it('knocks words with a look out at the size of their letters', function (): void {
    $place = ['x' => 1.5, 'y' => 2, 'width' => null, 'height' => null, 'capitals' => 0.5];
    $ground = Fixtures::shape('ground', 'rectangle', 3, more: ['placement' => ['height' => 4]]);
    $shape = fn (array $more): Image => Fixtures::render(Fixtures::artwork([$ground, $more + ['placement' => $place, 'effects' => [['kind' => 'roughened']], 'role' => ['kind' => 'knockout', 'gap' => 0]] + Fixtures::words('p', 'TIDE', 2)]))->alpha()->settled();
    $plain = $shape(['effects' => []]);
    // Roughened edges stray by a few pixels; the words lie where those without the look do.
    expect(coverage_off($shape([]), $plain)[1])->toBeLessThan(0.02)->and(abs($shape([])->mean() - $plain->mean()))->toBeLessThan(1.0);
});
