<?php

declare(strict_types=1);

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use TallCrow\Geometry\Cells;

/** Length of a side within the square (Liang and Barsky's clipping). */
function within_square(array $side, float $square): float
{
    [$x, $y, $toX, $toY] = $side;
    [$from, $to] = [0.0, 1.0];
    foreach ([[$x - $toX, $x], [$toX - $x, $square - $x], [$y - $toY, $y], [$toY - $y, $square - $y]] as [$p, $q]) {
        if ($p == 0.0) {
            if ($q < 0) {
                return 0.0;
            }
        } elseif ($p < 0) {
            $from = max($from, $q / $p);
        } else {
            $to = min($to, $q / $p);
        }
    }

    return max(0.0, $to - $from) * hypot($toX - $x, $toY - $y);
}

/** @return list<array{float, float}> */
function scattered(int $count, float $square, int $seed): array
{
    $random = new Randomizer(new Xoshiro256StarStar($seed));

    return array_map(fn (): array => [$square * $random->getInt(0, 1 << 20) / (1 << 20), $square * $random->getInt(0, 1 << 20) / (1 << 20)], range(1, $count));
}

it('divides a grid of points by the lines halfway between them', function (): void {
    $points = [];
    foreach (range(0, 3) as $i) {
        foreach (range(0, 3) as $k) {
            $points[] = [0.25 + 0.5 * $i, 0.25 + 0.5 * $k];
        }
    }
    $sides = Cells::sides($points, 2.0);
    // Three lines each way lie within the square, each as long as it; those on its edge touch nothing of its inside.
    expect(array_sum(array_map(fn (array $side): float => within_square($side, 2.0), $sides)))->toEqualWithDelta(12.0, 1e-9);
    foreach ($sides as [$x, $y, $toX, $toY]) {
        $fixed = abs($x - $toX) < 1e-9 ? $x : $y;
        expect(abs($x - $toX) < 1e-9 || abs($y - $toY) < 1e-9)->toBeTrue()->and(abs($fixed * 2 - round($fixed * 2)))->toBeLessThan(1e-9);
    }
    expect(Cells::sides([], 2.0))->toBe([]);
});

it('draws each side as far from its two points as from no other, on a square that meets itself', function (float $square): void {
    $points = scattered(30, $square, 5);
    $all = [];
    foreach ([-$square, 0.0, $square] as $dx) {
        foreach ([-$square, 0.0, $square] as $dy) {
            foreach ($points as [$x, $y]) {
                $all[] = [$x + $dx, $y + $dy];
            }
        }
    }
    $sides = Cells::sides($points, $square);
    // Euler's formula on a torus: three sides to a point; more are listed, since what crosses the edge is there twice.
    expect(count($sides))->toBeGreaterThanOrEqual(90)->toBeLessThan(180);
    foreach ($sides as $side) {
        [$x, $y] = [($side[0] + $side[2]) / 2, ($side[1] + $side[3]) / 2];
        if ($x < 0 || $x > $square || $y < 0 || $y > $square) {
            continue;
        }
        $far = array_map(fn (array $point): float => hypot($point[0] - $x, $point[1] - $y), $all);
        sort($far);
        expect(abs($far[0] - $far[1]))->toBeLessThan(1e-6 * $square);
    }
})->with([1.0, 2400.0]);

it('has what crosses an edge at both edges', function (): void {
    $sides = Cells::sides(scattered(40, 1.0, 9), 1.0);
    $crossing = 0;
    foreach ($sides as $side) {
        foreach ([[0, 1.0], [1, 1.0]] as [$axis, $square]) {
            if (min($side[$axis], $side[$axis + 2]) < -1e-9 && max($side[$axis], $side[$axis + 2]) > 1e-9) {
                $crossing++;
                $other = $side;
                $other[$axis] += $square;
                $other[$axis + 2] += $square;
                $twin = array_filter($sides, fn (array $one): bool => min(array_map(fn (array $ends): float => max(array_map(fn (int $i, int $k): float => abs($one[$i] - $other[$k]), [0, 1, 2, 3], $ends)), [[0, 1, 2, 3], [2, 3, 0, 1]])) < 1e-6);
                expect($twin)->not->toBe([]);
            }
        }
    }
    expect($crossing)->toBeGreaterThan(8);
});
