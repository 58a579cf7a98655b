<?php

declare(strict_types=1);

use TallCrow\Geometry\BoxSide;
use TallCrow\Mask\RaggedEdge;
use TallCrow\Tests\Fixtures;

it('tears a side along a line that never crosses itself, within its depth, and leaves the others alone', function (BoxSide $side): void {
    $mask = RaggedEdge::along([$side], 3.0, 2.0, 0.3, 0.1, 7);
    $deep = [];
    foreach ($mask->points as [$x, $y]) {
        $within = match ($side) {
            BoxSide::Top => $y * 2.0, BoxSide::Bottom => (1 - $y) * 2.0, BoxSide::Left => $x * 3.0, BoxSide::Right => (1 - $x) * 3.0,
        };
        $other = $side->isLevel() ? [$x, 1 - $x] : [$y, 1 - $y];
        if ($within < 1.5 && min($other) > 0) {
            $deep[] = $within;
        }
    }
    expect(count($deep))->toBeGreaterThan(30)->and(min($deep))->toBeGreaterThanOrEqual(0.1 - 1e-3)->and(max($deep))->toBeLessThanOrEqual(0.4 + 1e-3)
        // Torn, not wavy and not straight: it turns back at more than a third of its teeth.
        ->and(max($deep) - min($deep))->toBeGreaterThan(0.12)
        ->and(count(array_filter(range(1, count($deep) - 2), fn (int $i): bool => ($deep[$i] - $deep[$i - 1]) * ($deep[$i + 1] - $deep[$i]) < 0)))->toBeGreaterThan(count($deep) / 3);
    $path = Fixtures::temporary('ragged').'/m.png';
    $draw = 'polygon '.implode(' ', array_map(fn (array $p): string => sprintf('%.2f,%.2f', 300 + $p[0] * 300, 300 + $p[1] * 200), $mask->points));
    Fixtures::run(['convert', '-size', '900x800', 'xc:black', '-fill', 'white', '-draw', $draw, $path]);
    // One piece without a hole, by ImageMagick's even-odd filling: a line that crossed itself would leave crumbs.
    preg_match_all('/^ +\d+: /m', Fixtures::run(['convert', $path, '-threshold', '50%', '-define', 'connected-components:verbose=true', '-connected-components', '8', 'null:']), $found);
    expect(count($found[0]))->toBe(2)->and(RaggedEdge::along([$side], 3.0, 2.0, 0.3, 0.1, 7))->toEqual($mask)->and(RaggedEdge::along([$side], 3.0, 2.0, 0.3, 0.1, 8))->not->toEqual($mask);
})->with(BoxSide::cases());

it('tears two sides that meet to one corner', function (): void {
    $mask = RaggedEdge::along([BoxSide::Right, BoxSide::Bottom], 3.0, 2.0, 0.2, 0.05, 3);
    $path = Fixtures::temporary('corner').'/m.png';
    Fixtures::run(['convert', '-size', '900x800', 'xc:black', '-fill', 'white', '-draw', 'polygon '.implode(' ', array_map(fn (array $p): string => sprintf('%.2f,%.2f', 300 + $p[0] * 300, 300 + $p[1] * 200), $mask->points)), $path]);
    $at = fn (float $x, float $y): string => trim(Fixtures::run(['convert', $path, '-format', sprintf('%%[fx:round(p{%d,%d}.r)]', 300 + 100 * $x, 300 + 100 * $y), 'info:']));
    expect($at(1.5, 1.0))->toBe('1')->and($at(2.7, 1.7))->toBe('1')->and($at(2.97, 1.0))->toBe('0')->and($at(1.5, 1.97))->toBe('0')->and($at(-0.5, 1.0))->toBe('1')->and($at(1.5, -0.5))->toBe('1');
});

it('sets teeth of about a twentieth of an inch that stand unevenly, and on a long side no more than a cut by hand can hold', function (): void {
    $points = RaggedEdge::along([BoxSide::Top], 3.0, 2.0, 0.3, 0.1, 7)->points;
    // In order along the side, from beyond the left of it to beyond the right: it has no ring to spare within.
    $along = array_map(fn (array $point): float => 3.0 * $point[0], array_slice($points, 0, -6));
    expect($along[0])->toEqualWithDelta(-1.5, 1e-3)->and($along[count($along) - 1])->toEqualWithDelta(4.5, 1e-3);
    $gaps = array_map(fn (int $i): float => $along[$i] - $along[$i - 1], range(1, count($along) - 1));
    $mean = array_sum($gaps) / count($gaps);
    expect($mean)->toEqualWithDelta(0.055, 0.002)->and(min($gaps))->toBeGreaterThan(0.0)->and(min($gaps))->toBeLessThan(0.5 * $mean)->and(max($gaps))->toBeGreaterThan(1.5 * $mean)->and(max($gaps))->toBeLessThan(2.0 * $mean);
    expect(count(RaggedEdge::along([BoxSide::Top], 80.0, 2.0, 0.3, 0.1, 7)->points))->toBe(251 + 3 * 2)
        ->and(count(RaggedEdge::along([BoxSide::Top], 0.1, 2.0, 0.3, 0.1, 7)->points))->toBe(7 + 3 * 2);
});

it('swings slowly under its teeth: what is near is alike, what is further than a swing is not', function (): void {
    $apart = function (float $inches): float {
        $sum = $count = 0.0;
        foreach (range(1, 12) as $seed) {
            $line = array_slice(RaggedEdge::along([BoxSide::Top], 6.0, 2.0, 0.4, 0.0, $seed)->points, 0, -6);
            foreach ($line as $i => [$x, $y]) {
                foreach (array_slice($line, $i + 1, 40) as [$otherX, $otherY]) {
                    if (abs(6.0 * ($otherX - $x) - $inches) < 0.02) {
                        $sum += abs($y - $otherY) * 2.0;
                        $count++;
                    }
                }
            }
        }

        return $sum / max(1.0, $count);
    };
    expect($apart(0.06))->toBeLessThan(0.8 * $apart(0.7))->and($apart(0.7))->toEqualWithDelta($apart(1.2), 0.015);
});

it('goes as deep for three sides as for one, and leaves the fourth beyond the box', function (): void {
    $mask = RaggedEdge::along([BoxSide::Top, BoxSide::Right, BoxSide::Bottom], 3.0, 2.0, 0.2, 0.05, 3);
    expect(min(array_column($mask->points, 0)))->toEqualWithDelta(-0.5, 1e-4);
    foreach ($mask->points as [$x, $y]) {
        // Nowhere nearer to a torn side than the shallowest of the line, but where its ends meet the middle of the next one's depth.
        expect($y)->toBeGreaterThan(0.0)->toBeLessThan(1.0)->and($x)->toBeLessThan(1.0);
    }
});
