<?php

declare(strict_types=1);

use TallCrow\Colour\Srgb;
use TallCrow\Cutout\Contours;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Outline;
use TallCrow\Geometry\Path;
use TallCrow\Raster\Canvas;
use TallCrow\Raster\Image;

/** Drawn by Cairo, whose coverage is the reference. */
function covered_by(Path $path, int $width = 300, int $height = 300): Image
{
    $canvas = new Canvas($width, $height, Affine::identity());
    $canvas->colour(Srgb::of(255, 255, 255));
    $canvas->fill($path);

    return $canvas->mask()->settled();
}

/** Corners of a star of five points, or of a box. */
function turned_polygon(array $corners, float $degrees): Path
{
    return Path::polygon($corners)->transformed(Affine::turn($degrees)->then(Affine::shift(150.3, 149.6)));
}

/** @return list<array{float, float}> */
function star_corners(): array
{
    return array_map(fn (int $i): array => [($i % 2 === 0 ? 120 : 55) * cos($i * M_PI / 5), ($i % 2 === 0 ? 120 : 55) * sin($i * M_PI / 5)], range(0, 9));
}

/** @return array{float, float} mean difference in levels over the pixels of the edge, and the share of them that are off by more than 24 */
function edges_off(Image $mask, Path $path): array
{
    [$was, $is] = [$mask->toBytes(), covered_by($path, $mask->width(), $mask->height())->toBytes()];
    [$sum, $count, $off] = [0, 0, 0];
    for ($i = 0; $i < strlen($was); $i++) {
        if (! in_array(ord($was[$i]), [0, 255], true)) {
            $by = abs(ord($was[$i]) - ord($is[$i]));
            [$sum, $count, $off] = [$sum + $by, $count + 1, $off + ($by > 24 ? 1 : 0)];
        }
    }

    return [$sum / max(1, $count), $off / max(1, $count)];
}

it('follows smooth edges where they are, within a few levels of their coverage', function (Path $shape, int $most): void {
    $contours = Contours::of(covered_by($shape)) ?? throw new LogicException('Nothing was followed.');
    [$off, $far] = edges_off(covered_by($shape), $contours);
    // Potrace, from the mask thresholded at half, is off by 16 to 26 levels in the mean.
    expect($off)->toBeLessThan(4.0)->and($far)->toBeLessThan(0.01)->and(count($contours->segments))->toBeLessThan($most);
})->with([
    'a star' => [turned_polygon(star_corners(), 0), 40],
    'a turned star' => [turned_polygon(star_corners(), 31.5), 40],
    'a turned box' => [turned_polygon([[-90, -40], [90, -40], [90, 40], [-90, 40]], 13), 12],
    'a box at 45°' => [turned_polygon([[-90, -40], [90, -40], [90, 40], [-90, 40]], 45), 12],
    'a disc' => [Outline::ellipse(217, 217)->transformed(Affine::shift(150.2, 150.7)), 40],
    'a flat ellipse' => [Outline::ellipse(280, 30)->transformed(Affine::turn(20)->then(Affine::shift(150, 150))), 40],
]);

it('goes smoothly over the short chords by which a drawing reaches its pixels', function (): void {
    $chords = array_map(fn (int $i): array => [150.3 + 120 * cos($i * M_PI / 32), 149.6 + 120 * sin($i * M_PI / 32)], range(0, 63));
    $segments = (Contours::of(covered_by(Path::polygon($chords))) ?? Path::empty())->segments;
    expect(array_count_values(array_column($segments, 0))['L'] ?? 0)->toBe(0)->and(count($segments))->toBeLessThan(64);
});

it('gives corners their points, for rings with mitred corners', function (): void {
    $box = turned_polygon([[-90, -40], [90, -40], [90, 40], [-90, 40]], 13);
    $corners = array_values(array_filter((Contours::of(covered_by($box)) ?? Path::empty())->segments, fn (array $segment): bool => $segment[0] !== 'Z'));
    foreach (array_filter($box->segments, fn (array $segment): bool => $segment[0] !== 'Z') as $segment) {
        [$x, $y] = Path::end($segment);
        expect(min(array_map(fn (array $corner): float => hypot($corner[1] - $x, $corner[2] - $y), $corners)))->toBeLessThan(0.1);
    }
});

it('runs around holes the other way', function (): void {
    $area = function (Path $path): array {
        $areas = [];
        foreach ($path->contours(0.01) as $points) {
            $twice = 0.0;
            foreach ($points as $i => [$x, $y]) {
                [$fromX, $fromY] = $points[$i === 0 ? count($points) - 1 : $i - 1];
                $twice += $fromX * $y - $x * $fromY;
            }
            $areas[] = $twice / 2;
        }

        return $areas;
    };
    $ring = covered_by(Outline::ellipse(200, 200)->transformed(Affine::shift(150, 150)))->both(covered_by(Outline::ellipse(120, 120)->transformed(Affine::shift(150, 150)))->inverted());
    $areas = $area(Contours::of($ring->settled()) ?? Path::empty());
    sort($areas);
    expect($areas)->toHaveCount(2)->and(abs($areas[0] + $areas[1]))->toBeLessThan(abs($areas[0]))
        ->and(abs($areas[0]))->toEqualWithDelta(M_PI * 1e4, 60)->and(abs($areas[1]))->toEqualWithDelta(M_PI * 3600, 60);
});

it('follows strokes and gaps that are narrower than two pixels in one piece', function (float $width): void {
    $stroke = turned_polygon([[-100, -$width / 2], [100, -$width / 2], [100, $width / 2], [-100, $width / 2]], 17);
    $mask = covered_by($stroke);
    $contours = Contours::of($mask) ?? Path::empty();
    expect(array_count_values(array_column($contours->segments, 0))['M'])->toBe(1)
        ->and(covered_by($contours)->area())->toEqualWithDelta(200 * $width, 0.07 * 200 * $width);
})->with([1.5, 2.0, 3.0]);

it('follows a soft edge along its half, without waves', function (float $radius): void {
    // A ramp of so many pixels, drawn as its levels.
    $levels = '';
    for ($y = 0; $y < 240; $y++) {
        for ($x = 0; $x < 240; $x++) {
            $levels .= chr((int) round(255 * max(0.0, min(1.0, 0.5 + (80 - hypot($x + 0.5 - 120.3, $y + 0.5 - 119.8)) / $radius))));
        }
    }
    $points = array_merge(...(Contours::of(Image::raw($levels, 240, 240, 1)) ?? Path::empty())->contours(0.01));
    $off = array_map(fn (array $point): float => abs(hypot($point[0] - 120.3, $point[1] - 119.8) - 80), $points);
    expect(max($off))->toBeLessThan(0.22);
})->with([2.0, 5.0, 12.0, 60.0]);

it('closes ink at the edge of the mask there, and leaves specks out', function (): void {
    $disc = covered_by(Outline::ellipse(200, 200)->transformed(Affine::shift(40, 150)));
    $bounds = (Contours::of($disc) ?? Path::empty())->bounds();
    expect($bounds->left)->toEqualWithDelta(0, 0.05)->and($bounds->right)->toEqualWithDelta(140, 0.05)->and($bounds->top)->toEqualWithDelta(50, 0.05);
    $specks = covered_by(Path::join(Outline::ellipse(1.5, 1.5)->transformed(Affine::shift(50, 50)), Outline::ellipse(2.2, 2.2)->transformed(Affine::shift(150, 150))));
    expect(array_count_values(array_column((Contours::of($specks) ?? Path::empty())->segments, 0))['M'] ?? 0)->toBe(1);
});

it('leaves hard edges and countless dots to be traced otherwise, and finds nothing in nothing', function (): void {
    $disc = covered_by(Outline::ellipse(200, 200)->transformed(Affine::shift(150, 150)));
    $dot = covered_by(Outline::ellipse(2.6, 2.6)->transformed(Affine::shift(2, 2)), 4, 4);
    expect(Contours::of($disc->isMore(127.0)->settled()))->toBeNull()
        ->and(Contours::of($dot->tiled(0, 0, 1600, 1600)->settled()))->toBeNull()
        ->and(Contours::of($dot->tiled(0, 0, 400, 400)->settled()))->not->toBeNull()
        ->and(Contours::of($disc->linearByte(0.0)->settled())?->segments)->toBe([]);
});
