<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Gang\GangCut;
use TallCrow\Gang\GangPiece;
use TallCrow\Gang\GangPrint;
use TallCrow\Gang\GangRefused;
use TallCrow\Gang\GangSheet;
use TallCrow\Gang\Laid;
use TallCrow\Gang\Layout;
use TallCrow\Gang\MaxRects;
use TallCrow\Measure\Ppi;
use TallCrow\Raster\Image;
use TallCrow\Tests\Fixtures;

/** A red plate of so many pixels. */
function red_plate(int $width, int $height): Image
{
    return Image::flat(Srgb::of(255, 0, 0), Image::empty($width, $height, 1)->inverted())->settled();
}

/**
 * Film with one copy on it, and the places of its black pixels.
 *
 * @return list<string> "x,y"
 */
function black_of(GangSheet $film, float $length, float $left, float $top, int $width = 40, int $height = 30, bool $marks = true): array
{
    $layout = new Layout($film, [new Laid(0, 0, $left, $top, $width / 100, $height / 100, false)], [$length]);
    [$sheet] = GangPrint::sheets($layout, [red_plate($width, $height)], Ppi::of(100), $marks);
    $black = [];
    foreach (str_split($sheet->toBytes(), 4) as $i => $pixel) {
        if ($pixel === "\0\0\0\xff") {
            $black[] = $i % $sheet->width().','.intdiv($i, $sheet->width());
        }
    }
    sort($black);

    return $black;
}

/**
 * The ticks about a copy as they should be: one pixel wide, beside each corner, along both of its sides.
 *
 * @param  list<string>  $sides
 * @return list<string>
 */
function ticks(int $left, int $top, int $width, int $height, int $long, array $sides = ['top', 'bottom', 'left', 'right']): array
{
    $found = [];
    for ($i = 1; $i <= $long; $i++) {
        foreach ($sides as $side) {
            array_push($found, ...match ($side) {
                'top' => [$left.','.($top - $i), ($left + $width - 1).','.($top - $i)],
                'bottom' => [$left.','.($top + $height - 1 + $i), ($left + $width - 1).','.($top + $height - 1 + $i)],
                'left' => [($left - $i).','.$top, ($left - $i).','.($top + $height - 1)],
                default => [($left + $width - 1 + $i).','.$top, ($left + $width - 1 + $i).','.($top + $height - 1)],
            });
        }
    }
    sort($found);

    return $found;
}

it('draws two ticks a tenth of an inch long beside each corner, and nothing else', function (): void {
    expect(black_of(new GangSheet(1.0, null, 0.25, 0.25), 0.9, 0.25, 0.25))->toBe(ticks(25, 25, 40, 30, 10))
        ->and(black_of(new GangSheet(1.0, null, 0.25, 0.25), 0.9, 0.25, 0.25, marks: false))->toBe([]);
});

it('keeps ticks within half the gap, and draws none where there is no room for them', function (float $gap, int $long): void {
    expect(black_of(new GangSheet(1.0, null, $gap, 0.25), 0.9, 0.25, 0.25))->toBe(ticks(25, 25, 40, 30, $long));
})->with([[0.25, 10], [0.2, 9], [0.15, 6], [0.08, 3], [0.06, 2], [0.05, 0], [0.0, 0]]);

it('draws ticks as long and as wide as an inch says at any ppi', function (int $ppi, int $long, int $wide): void {
    $film = new GangSheet(3.0, null, 1.0, 1.0);
    [$sheet] = GangPrint::sheets(new Layout($film, [new Laid(0, 0, 1.0, 1.0, 1.0, 1.0, false)], [3.0]), [red_plate($ppi, $ppi)], Ppi::of($ppi), true);
    $black = $sheet->alpha()->isMore(127.0)->both($sheet->band(0)->isLess(128.0))->settled();
    expect($black->area())->toEqualWithDelta(8 * $long * $wide, 1e-6)
        ->and($black->crop($ppi, $ppi - $long, $wide, $long)->area())->toEqualWithDelta($long * $wide, 1e-6)
        ->and($black->crop(2 * $ppi - $wide, 2 * $ppi, $wide, $long)->area())->toEqualWithDelta($long * $wide, 1e-6)
        ->and($black->crop($ppi - $long, 2 * $ppi - $wide, $long, $wide)->area())->toEqualWithDelta($long * $wide, 1e-6)
        ->and($black->crop(2 * $ppi, $ppi, $long, $wide)->area())->toEqualWithDelta($long * $wide, 1e-6);
})->with([[60, 6, 1], [133, 13, 1], [137, 14, 1], [160, 16, 2], [300, 30, 3]]);

it('draws ticks up to the edge of the film, and none that it would cut', function (): void {
    $film = new GangSheet(0.6, null, 0.25, 0.1);
    // Ten pixels from each edge: every tick ends at it.
    expect(black_of($film, 0.5, 0.1, 0.1))->toBe(ticks(10, 10, 40, 30, 10))
        ->and(black_of($film, 0.5, 0.09, 0.1))->toBe(ticks(9, 10, 40, 30, 10, ['top', 'bottom', 'right']))
        ->and(black_of($film, 0.5, 0.1, 0.09))->toBe(ticks(10, 9, 40, 30, 10, ['bottom', 'left', 'right']))
        ->and(black_of($film, 0.5, 0.11, 0.1))->toBe(ticks(11, 10, 40, 30, 10, ['top', 'bottom', 'left']))
        ->and(black_of($film, 0.5, 0.1, 0.11))->toBe(ticks(10, 11, 40, 30, 10, ['top', 'left', 'right']));
});

it('rounds sizes and places to whole pixels', function (): void {
    $size = function (float $width, float $length): array {
        [$sheet] = GangPrint::sheets(new Layout(new GangSheet($width, null), [], [$length]), [], Ppi::of(100), false);

        return [$sheet->width(), $sheet->height()];
    };
    expect($size(1.004, 2.006))->toBe([100, 201])->and($size(1.006, 2.004))->toBe([101, 200])
        ->and(black_of(new GangSheet(1.0, null), 1.0, 0.254, 0.256))->toBe(ticks(25, 26, 40, 30, 10))
        ->and(black_of(new GangSheet(1.0, null), 1.0, 0.256, 0.254))->toBe(ticks(26, 25, 40, 30, 10));
});

it('cuts a design to whole pixels, none of its ink lost', function (): void {
    $plate = Fixtures::artwork([Fixtures::shape('plate', 'rectangle', 2, '#ff0000', ['placement' => ['x' => 1.5, 'y' => 1.25, 'height' => 1.0]])]);
    $size = function (?float $width) use ($plate): array {
        $sheet = GangCut::of($plate, $width, Ppi::of(100), Fixtures::renderer())->sheet;

        return [$sheet->width, $sheet->height];
    };
    expect($size(2.001))->toBe([201, 101])->and($size(1.997))->toBe([200, 100])->and($size(2.008))->toBe([201, 101]);
});

it('refuses film that its margins cover whole, and takes film with a hair to lie on', function (): void {
    expect(fn () => new GangSheet(0.5, null, 0.0, 0.25))->toThrow(GangRefused::class)
        ->and(fn () => new GangSheet(5.0, 0.5, 0.0, 0.25))->toThrow(GangRefused::class)
        ->and(fn () => new GangSheet(5.0, 5.0, -0.01, 0.25))->toThrow(GangRefused::class)
        ->and(fn () => new GangSheet(5.0, 5.0, 0.0, -0.01))->toThrow(GangRefused::class)
        ->and((new GangSheet(0.51, 0.51, 0.0, 0.25))->width)->toBe(0.51)->and((new GangSheet(0.6, null, 0.0, 0.0))->margin)->toBe(0.0);
});

/**
 * Whether a rectangle fits among others on a sheet, by trying every place at which it would touch an edge or another on its left and top.
 *
 * @param  list<Laid>  $others
 */
function has_room(array $others, GangSheet $film, float $width, float $height): bool
{
    $lefts = [$film->margin, ...array_map(fn (Laid $one): float => $one->left + $one->width + $film->gap, $others)];
    $tops = [$film->margin, ...array_map(fn (Laid $one): float => $one->top + $one->height + $film->gap, $others)];
    foreach ($lefts as $left) {
        foreach ($tops as $top) {
            if ($left + $width > $film->width - $film->margin + 1e-9 || $top + $height > $film->length - $film->margin + 1e-9) {
                continue;
            }
            $free = array_filter($others, fn (Laid $one): bool => max($one->left - $left - $width, $left - $one->left - $one->width, $one->top - $top - $height, $top - $one->top - $one->height) < $film->gap - 1e-9) === [];
            if ($free) {
                return true;
            }
        }
    }

    return false;
}

it('begins no sheet of film while there is room on one before it, and leaves no piece in the open', function (int $seed): void {
    mt_srand($seed);
    $pieces = array_map(fn (int $i): GangPiece => new GangPiece("piece $i", mt_rand(2, 9), mt_rand(2, 9), mt_rand(1, 4), turns: false), range(1, 8));
    $film = new GangSheet(13, 12, $seed % 3 / 4, $seed % 2 / 4);
    $layout = MaxRects::layout($pieces, $film);
    $sheets = [];
    // Copies are told in the order in which they were laid.
    foreach ($layout->laid as $one) {
        foreach (range(0, $one->sheet) as $before) {
            if ($before < $one->sheet) {
                expect(has_room($sheets[$before], $film, $one->width, $one->height))->toBeFalse();
            }
        }
        $others = $sheets[$one->sheet] ?? [];
        $edges = [[$film->margin, ...array_map(fn (Laid $other): float => $other->left + $other->width + $film->gap, $others)], [$film->margin, ...array_map(fn (Laid $other): float => $other->top + $other->height + $film->gap, $others)]];
        expect(min(array_map(fn (float $edge): float => abs($edge - $one->left), $edges[0])))->toBeLessThan(1e-6)
            ->and(min(array_map(fn (float $edge): float => abs($edge - $one->top), $edges[1])))->toBeLessThan(1e-6);
        $sheets[$one->sheet][] = $one;
    }
    expect(count($sheets))->toBe(count($layout->lengths))->toBeGreaterThan(1);
})->with(range(1, 24));

/**
 * Area of film by the method of Jylänki's paper in its plainest form: the largest free rectangles are found anew for each piece, by trying all that edges
 * of what lies there bound.
 *
 * @param  list<GangPiece>  $pieces
 */
function area_by_trying(array $pieces, GangSheet $film): float
{
    $copies = array_merge(...array_map(fn (GangPiece $piece): array => array_fill(0, $piece->count, $piece), $pieces));
    [$gap, $edge] = [$film->gap, 2 * $film->margin];
    $long = $film->length === null ? array_sum(array_map(fn (GangPiece $one): float => max($one->width, $one->height) + $gap, $copies)) + $gap : $film->length - $edge + $gap;
    $wide = $film->width - $edge + $gap;
    $least = INF;
    foreach ([fn (GangPiece $one): float => max($one->width, $one->height), fn (GangPiece $one): float => $one->width * $one->height, fn (GangPiece $one): float => $one->height] as $size) {
        usort($copies, fn (GangPiece $one, GangPiece $other): int => $size($other) <=> $size($one));
        foreach (['low', 'snug'] as $rule) {
            foreach ([null, true, false] as $upright) {
                $sheets = [];
                foreach ($copies as $copy) {
                    $ways = [[$copy->width + $gap, $copy->height + $gap, $copy->height >= $copy->width], ...($copy->turns ? [[$copy->height + $gap, $copy->width + $gap, $copy->width >= $copy->height]] : [])];
                    $wanted = array_filter($ways, fn (array $way): bool => $upright === null || ($way[2] === $upright && $way[0] <= $wide + 1e-6 && $way[1] <= $long + 1e-6));
                    for ($sheet = 0; ; $sheet++) {
                        $best = [INF, INF, 0.0, 0.0, 0.0, 0.0];
                        foreach (rooms($sheets[$sheet] ?? [], $wide, $long) as [$x, $y, $w, $h]) {
                            foreach ($wanted === [] ? $ways : $wanted as [$width, $height]) {
                                $score = $rule === 'low' ? [$y + $height, $x] : [min($w - $width, $h - $height), $y];
                                if ($width <= $w + 1e-6 && $height <= $h + 1e-6 && $score < [$best[0], $best[1]]) {
                                    $best = [...$score, $x, $y, $width, $height];
                                }
                            }
                        }
                        if ($best[4] > 0) {
                            $sheets[$sheet][] = array_slice($best, 2);
                            break;
                        }
                    }
                }
                $area = array_sum(array_map(fn (array $laid): float => $film->length ?? max(array_map(fn (array $one): float => $one[1] + $one[3] - $gap, $laid)) + $edge, $sheets)) * $film->width;
                $least = min($least, $area);
            }
        }
    }

    return $least;
}

/**
 * The largest free rectangles about what lies on a sheet.
 *
 * @param  list<array{float, float, float, float}>  $laid
 * @return list<array{float, float, float, float}>
 */
function rooms(array $laid, float $wide, float $long): array
{
    $free = fn (float $x, float $y, float $right, float $bottom): bool => $x >= -1e-9 && $y >= -1e-9 && $right <= $wide + 1e-9 && $bottom <= $long + 1e-9
        && array_filter($laid, fn (array $one): bool => $one[0] < $right - 1e-7 && $x + 1e-7 < $one[0] + $one[2] && $one[1] < $bottom - 1e-7 && $y + 1e-7 < $one[1] + $one[3]) === [];
    $found = [];
    foreach ([0.0, ...array_map(fn (array $one): float => $one[0] + $one[2], $laid)] as $x) {
        foreach ([$wide, ...array_map(fn (array $one): float => $one[0], $laid)] as $right) {
            foreach ($right - $x > 1e-6 ? [0.0, ...array_map(fn (array $one): float => $one[1] + $one[3], $laid)] : [] as $y) {
                foreach ([$long, ...array_map(fn (array $one): float => $one[1], $laid)] as $bottom) {
                    if ($bottom - $y > 1e-6 && $free($x, $y, $right, $bottom)) {
                        $found[] = [$x, $y, $right - $x, $bottom - $y];
                    }
                }
            }
        }
    }

    return array_values(array_filter($found, fn (array $one): bool => array_filter($found, fn (array $other): bool => $other !== $one && $other[0] <= $one[0] + 1e-9 && $other[1] <= $one[1] + 1e-9
        && $other[0] + $other[2] >= $one[0] + $one[2] - 1e-9 && $other[1] + $other[3] >= $one[1] + $one[3] - 1e-9) === []));
}

it('uses as much film as the method does where every largest free rectangle is found by trying', function (int $seed): void {
    mt_srand(100 + $seed);
    // No two sizes are alike, so that nothing is left to the order in which equals are tried.
    $pieces = array_map(fn (int $i): GangPiece => new GangPiece("piece $i", mt_rand(20000, 70000) / 10007, mt_rand(20000, 70000) / 10007, 1, mt_rand(0, 2) > 0), range(1, 7));
    $film = new GangSheet(11.3, $seed % 2 === 0 ? null : 9.1, $seed % 3 / 7, $seed % 4 / 9);
    expect(MaxRects::layout($pieces, $film)->area())->toEqualWithDelta(area_by_trying($pieces, $film), 1e-4);
})->with(range(1, 20));

it('finds layouts that leave nothing over', function (array $sizes, float $width, float $length): void {
    // Rectangles cut from one of that size: none of it is left when they are laid back.
    $pieces = array_map(fn (array $size): GangPiece => new GangPiece('piece', $size[0], $size[1], $size[2], $size[3]), $sizes);
    expect(array_sum(MaxRects::layout($pieces, new GangSheet($width, null, 0.0, 0.0))->lengths))->toEqualWithDelta($length, 1e-6);
})->with([
    'all upright' => [[[4, 6, 5, true]], 20.0, 6.0],
    'all flat' => [[[6, 4, 3, true]], 18.0, 4.0],
    'one that has to be turned' => [[[8, 3, 1, true], [3, 5, 1, false]], 8.0, 8.0],
    'the tall first' => [[[2, 8, 2, false], [3, 4, 4, false]], 10.0, 8.0],
    'rows of one height' => [[[5, 2, 4, false], [10, 3, 1, false]], 10.0, 7.0],
    'a large one and what fits about it' => [[[6, 6, 1, false], [2, 6, 1, false], [8, 2, 1, false]], 8.0, 8.0],
]);

it('keeps the gap between pieces on a roll, and none beyond them', function (): void {
    $layout = MaxRects::layout([new GangPiece('moth', 3, 2, 4, turns: false)], new GangSheet(7.0, null, 0.5, 0.25));
    // Two across: 0.25 + 3 + 0.5 + 3 + 0.25; two down: 0.25 + 2 + 0.5 + 2 + 0.25.
    expect($layout->lengths)->toEqualWithDelta([5.0], 1e-6)
        ->and(array_map(fn (Laid $one): array => [$one->left, $one->top], $layout->laid))->toEqualCanonicalizing([[0.25, 0.25], [3.75, 0.25], [0.25, 2.75], [3.75, 2.75]]);
});
