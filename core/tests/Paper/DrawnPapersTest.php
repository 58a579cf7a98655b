<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Paper\Catalogue;
use TallCrow\Paper\Chance;
use TallCrow\Paper\Colours;
use TallCrow\Paper\Drawing;
use TallCrow\Paper\Paper;
use TallCrow\Paper\Scatter;
use TallCrow\Raster\Image;

// What each paper says of itself in inches, measured on its tile at 300 px to the inch.

const DRAWN_INK = '#b04a2c';
const DRAWN_GROUND = '#f3ead7';
const DRAWN_THIRD = '#1f1d1a';

function drawn_paper(string $kind, int $seed = 3): Image
{
    return Catalogue::classes()[$kind]::tile($seed, new Colours(array_map(Srgb::hex(...), [DRAWN_INK, DRAWN_GROUND, DRAWN_THIRD])), 1)->settled();
}

/** @return list<string> the colours of a row or column of pixels */
function colours_along(Image $tile, int $x, int $y, int $width, int $height): array
{
    return array_map(fn (string $pixel): string => '#'.bin2hex($pixel), str_split($tile->crop($x, $y, $width, $height)->toBytes(), 3));
}

/**
 * Where a colour begins and how long it runs.
 *
 * @param  list<string>  $colours
 * @return list<array{int, int}>
 */
function runs_of(array $colours, string $wanted): array
{
    $runs = [];
    $from = null;
    foreach ([...$colours, 'end'] as $i => $colour) {
        if ($colour === $wanted && $from === null) {
            $from = $i;
        } elseif ($colour !== $wanted && $from !== null) {
            $runs[] = [$from, $i - $from];
            $from = null;
        }
    }

    return $runs;
}

/** The share of a tile that has a colour, to a level. */
function share_of(Image $tile, string $hex): float
{
    $colour = Srgb::hex($hex);
    $same = null;
    foreach ([$colour->red, $colour->green, $colour->blue] as $band => $level) {
        $near = $tile->band($band)->isMore($level - 1.5)->both($tile->band($band)->isLess($level + 1.5));
        $same = $same === null ? $near : $same->both($near);
    }

    return $same->mean() / 255;
}

it('weaves gingham in checks of half an inch: a quarter bare, a quarter crossed, half in bars', function (): void {
    $tile = drawn_paper('gingham');
    expect(share_of($tile, DRAWN_GROUND))->toEqualWithDelta(0.25, 0.002);
    $bare = runs_of(colours_along($tile, 0, 100, 1200, 1), DRAWN_GROUND);
    expect(array_column($bare, 0))->toBe([75, 225, 375, 525, 675, 825, 975, 1125])->and(array_unique(array_column($bare, 1)))->toBe([75]);
    // Where two bars cross, more of the ink is seen than in one: each lets half of what is below it through.
    [$ink, $ground] = [Srgb::hex(DRAWN_INK), Srgb::hex(DRAWN_GROUND)];
    [$crossed, $bar] = [Srgb::hex(colours_along($tile, 30, 30, 1, 1)[0]), Srgb::hex(colours_along($tile, 30, 100, 1, 1)[0])];
    expect($bar->red)->toEqualWithDelta(($ink->red + $ground->red) / 2, 1.5)->and($crossed->red)->toEqualWithDelta(0.75 * $ink->red + 0.25 * $ground->red, 1.5)
        ->and($crossed->blue)->toEqualWithDelta(0.75 * $ink->blue + 0.25 * $ground->blue, 1.5);
});

it('rules school paper a third of an inch apart, with one margin line', function (): void {
    $tile = drawn_paper('ruled');
    $lines = runs_of(colours_along($tile, 1000, 0, 1, 2400), DRAWN_INK);
    expect(count($lines))->toBe(24)->and(array_unique(array_column($lines, 1)))->toBe([4]);
    foreach ($lines as $i => [$from]) {
        expect($from)->toBe(96 + 100 * $i);
    }
    expect(runs_of(colours_along($tile, 0, 50, 2400, 1), DRAWN_THIRD))->toBe([[300, 6]]);
});

it('squares school paper by a fifth of an inch, every fifth line twice as strong', function (): void {
    $tile = drawn_paper('squared');
    foreach ([runs_of(colours_along($tile, 0, 30, 900, 1), DRAWN_INK), runs_of(colours_along($tile, 30, 0, 1, 900), DRAWN_INK)] as $lines) {
        expect(array_column($lines, 0))->toBe(range(0, 840, 60))->and(array_column($lines, 1))->toBe([6, 3, 3, 3, 3, 6, 3, 3, 3, 3, 6, 3, 3, 3, 3]);
    }
});

it('stands stripes a third of an inch broad in all colours in turn', function (): void {
    $tile = drawn_paper('stripes');
    foreach ([DRAWN_INK, DRAWN_GROUND, DRAWN_THIRD] as $turn => $hex) {
        $runs = runs_of(colours_along($tile, 0, 777, 2400, 1), $hex);
        expect(count($runs))->toBe(8)->and(share_of($tile, $hex))->toEqualWithDelta(1 / 3, 0.001);
        foreach ($runs as $i => [$from, $long]) {
            expect($from)->toBe(300 * $i + 100 * $turn)->and($long)->toBe(100);
        }
    }
});

it('zigzags a chevron whose bands have as much of each colour and climb alike to the left and the right', function (): void {
    $tile = drawn_paper('chevron');
    foreach ([DRAWN_INK, DRAWN_GROUND, DRAWN_THIRD] as $hex) {
        // Edges are a pixel of mixed colours, in bands of 100 px that lie aslant.
        expect(share_of($tile, $hex))->toEqualWithDelta(1 / 3, 0.02);
    }
    $flipped = $tile->mirroredAcross();
    $apart = $tile->minus($flipped)->operation('abs')->settled();
    // Its mirror image is itself, to the half-covered pixels of its edges.
    expect($apart->isMore(130)->mean() / 255)->toBeLessThan(0.01);
});

it('sets spots of a quarter inch in rows half a step over', function (): void {
    $tile = drawn_paper('spots');
    // Two circles of 36 px in 200 by 200.
    expect(share_of($tile, DRAWN_INK))->toEqualWithDelta(2 * M_PI * 36 ** 2 / 200 ** 2, 0.01);
    expect(colours_along($tile, 50, 50, 1, 1))->toBe([DRAWN_INK])->and(colours_along($tile, 150, 150, 1, 1))->toBe([DRAWN_INK])->and(colours_along($tile, 150, 50, 1, 1))->toBe([DRAWN_GROUND]);
    expect(runs_of(colours_along($tile, 0, 50, 400, 1), DRAWN_INK)[0][1])->toEqualWithDelta(72, 2);
});

it('grows the dots of a halftone ramp from nothing to all and back', function (): void {
    $tile = drawn_paper('halftone-ramp');
    $inked = fn (int $y): float => share_of($tile->crop(0, $y, 2400, 100)->settled(), DRAWN_INK);
    $tones = array_map($inked, [0, 150, 300, 450, 600]);
    for ($i = 1; $i < count($tones); $i++) {
        expect($tones[$i])->toBeGreaterThan($tones[$i - 1]);
    }
    expect($tones[0])->toBeLessThan(0.02)->and($inked(1150))->toBeGreaterThan(0.98)->and($inked(1500))->toEqualWithDelta($inked(800), 0.02);
});

it('lays the bands of a plaid across as they lie down', function (int $seed): void {
    $tile = drawn_paper('plaid', $seed);
    // A row that no band runs along shows the bands that it crosses.
    $bare = array_values(array_filter(range(0, 599), fn (int $y): bool => colours_along($tile, $y, $y, 1, 1) === [DRAWN_GROUND]));
    expect($bare)->not->toBe([]);
    $row = colours_along($tile, 0, $bare[0], 600, 1);
    expect($row)->toBe(colours_along($tile, $bare[0], 0, 1, 600))->and(count(array_unique($row)))->toBeGreaterThanOrEqual(2);
})->with([3, 8, 21]);

it('strews marks of which no two lie on one another, over the edges too', function (int $seed): void {
    $side = 1500;
    $places = Scatter::over($side, [[120.0, 30], [60.0, 80], [25.0, 200]], Chance::seeded($seed));
    expect(count($places))->toBeGreaterThan(40);
    foreach ($places as $i => [$x, $y, $radius]) {
        expect($x)->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual((float) $side);
        foreach (array_slice($places, $i + 1) as [$otherX, $otherY, $far]) {
            [$across, $down] = [abs($x - $otherX), abs($y - $otherY)];
            expect(hypot(min($across, $side - $across), min($down, $side - $down)))->toBeGreaterThanOrEqual($radius + $far);
        }
    }
    // Room for more is left only to the small.
    expect($places)->toEqual(Scatter::over($side, [[120.0, 30], [60.0, 80], [25.0, 200]], Chance::seeded($seed)));
})->with([1, 7]);

it('draws chances evenly between their bounds', function (): void {
    $chance = Chance::seeded(5);
    $drawn = array_map(fn (): float => $chance->of(-2.0, 6.0), range(1, 4000));
    // An even chance has its mean in the middle and (b − a)/√12 = 2.309 of deviation; five times that over √4000 = 0.18.
    expect(min($drawn))->toBeGreaterThanOrEqual(-2.0)->and(max($drawn))->toBeLessThanOrEqual(6.0)->and(array_sum($drawn) / 4000)->toEqualWithDelta(2.0, 0.18);
    $whole = array_count_values(array_map(fn (): int => $chance->whole(1, 6), range(1, 6000)));
    ksort($whole);
    expect(array_keys($whole))->toBe([1, 2, 3, 4, 5, 6])->and(min($whole))->toBeGreaterThan(850)->and(max($whole))->toBeLessThan(1150);
});

it('gives colours in turn where fewer are chosen than are asked for', function (): void {
    $two = new Colours([Srgb::hex('#102030'), Srgb::hex('#a0b0c0')]);
    expect([$two->hex(0), $two->hex(1), $two->hex(2), $two->hex(5)])->toBe(['#102030', '#a0b0c0', '#102030', '#a0b0c0'])
        ->and(array_map(fn (Srgb $colour): string => $colour->toHex(), $two->atLeast(3)))->toBe(['#102030', '#a0b0c0', '#102030'])
        ->and(count($two->atLeast(1)))->toBe(2)->and((new Colours([]))->hex(4))->toBe('#ffffff');
});

it('repeats a mark at each edge that it crosses, and nowhere else', function (float $x, float $y, int $times): void {
    expect(substr_count(Drawing::wrapped('<circle r="10"/>', $x, $y, 12.0, 400), '<circle'))->toBe($times);
})->with([[200, 200, 1], [5, 200, 2], [200, 395, 2], [3, 4, 4], [399, 2, 4], [13, 13, 1]]);

it('paints marks on a ground at the size of a tile', function (): void {
    $page = Drawing::on('#ff0000', '<rect x="10" y="20" width="30" height="40" fill="#0000ff"/>');
    expect([$page->width(), $page->height(), $page->bands()])->toBe([Paper::TILE, Paper::TILE, 3])
        ->and(runs_of(colours_along($page, 0, 30, 100, 1), '#0000ff'))->toBe([[10, 30]])->and(runs_of(colours_along($page, 15, 0, 1, 100), '#0000ff'))->toBe([[20, 40]]);
});
