<?php

declare(strict_types=1);

use TallCrow\Artwork\Flip;
use TallCrow\Artwork\Placement;
use TallCrow\Effect\BendsOutline;
use TallCrow\Effect\Warp\Arc;
use TallCrow\Geometry\Bend;
use TallCrow\Geometry\Bezier;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Outline;
use TallCrow\Geometry\Path;
use TallCrow\Raster\Image;
use TallCrow\Render\Fitting;
use TallCrow\Render\Frame;
use TallCrow\Render\Resampler;
use TallCrow\Tests\Fixtures;
use TallCrow\Type\Letter;

/** @param  array<string, mixed>  $values */
function bend(string $kind, array $values, Box $box): Bend
{
    $effect = Fixtures::effect($kind, $values);
    assert($effect instanceof BendsOutline);

    return $effect->bend($box);
}

const WARPS = ['arch', 'bulge', 'pinch', 'wave', 'flag', 'rise', 'ring', 'stretch'];

// Geometry of the circular segment: a chord of 2h and a sagitta of s lie on a circle of radius (s² + h²) ÷ 2s.
it('arches along one circle', function (float $bend): void {
    $map = bend('arch', ['bend' => $bend], new Box(-4, -0.5, 4, 0.5));
    $rise = abs($bend) * 4;
    $radius = ($rise ** 2 + 16) / (2 * $rise);
    expect(Arc::radius($rise, 4))->toEqualWithDelta($radius, 1e-9);
    $centreY = $bend > 0 ? 0.5 - $rise + $radius : 0.5 + $rise - $radius;
    for ($x = -4.0; $x <= 4; $x += 0.25) {
        [$toX, $toY] = ($map->forward)($x, 0.5);
        expect($toX)->toBe($x)->and(hypot($toX, $toY - $centreY))->toEqualWithDelta($radius, 1e-9);
    }
    expect(($map->forward)(-4.0, 0.5)[1])->toEqualWithDelta(0.5, 1e-9)
        ->and(($map->forward)(0.0, 0.5)[1])->toEqualWithDelta($bend > 0 ? 0.5 - $rise : 0.5 + $rise, 1e-9);
})->with([0.35, 1.0, 0.05, -0.4]);

it('arches by a rise in inches whatever the width', function (float $rise, float $width): void {
    $map = bend('arch', ['by' => 'inches', 'rise' => $rise], Box::centred(0, 0, $width, 1));
    expect(($map->forward)(0.0, 0.0)[1])->toEqualWithDelta(-$rise, 1e-9);
})->with([0.5, 1.25])->with([6, 11]);

// An arc of length l on a circle of radius r has the sagitta r (1 − cos(l ÷ 2r)).
it('finds the circle on which an arc of a length rises so high', function (float $length, float $sagitta): void {
    $radius = Arc::radiusOfLength($length, $sagitta);
    expect($radius * (1 - cos($length / (2 * $radius))))->toEqualWithDelta($sagitta, 1e-6);
})->with([[8.0, 0.5], [8.0, 2.0], [3.0, 0.01]]);

it('bends into a ring that keeps the length of its middle line', function (float $bend): void {
    $box = new Box(0, 0, 10, 1);
    $map = bend('ring', ['bend' => $bend], $box);
    $radius = 10 / (2 * M_PI * abs($bend));
    $length = 0.0;
    $last = ($map->forward)(0.0, 0.5);
    for ($i = 1; $i <= 2000; $i++) {
        $next = ($map->forward)($i / 200, 0.5);
        $length += hypot($next[0] - $last[0], $next[1] - $last[1]);
        $last = $next;
    }
    expect($length)->toEqualWithDelta(10.0, 0.001);
    // The middle of the upper edge lies one half height further from the centre than the middle line.
    [$x, $y] = ($map->forward)(5.0, 0.0);
    expect(hypot($x - 5, $y - (0.5 + ($bend > 0 ? 1 : -1) * $radius)))->toEqualWithDelta($radius + ($bend > 0 ? 0.5 : -0.5), 1e-9);
})->with([0.25, 0.6, -0.4, 1.0]);

it('finds its way back from every warp', function (string $kind): void {
    $box = new Box(1, 2, 9, 4);
    $map = bend($kind, [], $box);
    for ($x = 1.0; $x <= 9; $x += 0.5) {
        for ($y = 2.0; $y <= 4; $y += 0.5) {
            $back = ($map->back)(...($map->forward)($x, $y));
            expect($back[0])->toEqualWithDelta($x, 1e-7)->and($back[1])->toEqualWithDelta($y, 1e-7);
        }
    }
})->with(WARPS);

it('does nothing when the bend is none', function (string $kind): void {
    $map = bend($kind, ['bend' => 0.0], new Box(-4, -0.5, 4, 0.5));
    expect(($map->forward)(1.3, 0.2)[1])->toEqualWithDelta(0.2, 1e-9)->and(($map->forward)(1.3, 0.2)[0])->toEqualWithDelta(1.3, 1e-9);
})->with(['arch', 'bulge', 'pinch', 'wave', 'flag', 'rise', 'ring']);

it('does to the middle and the ends what its name says', function (): void {
    $box = new Box(0, 0, 8, 2);
    $height = fn (Bend $map, float $x): float => ($map->forward)($x, 2.0)[1] - ($map->forward)($x, 0.0)[1];
    expect($height(bend('bulge', ['bend' => 0.5], $box), 4))->toEqualWithDelta(3.0, 1e-9)
        ->and($height(bend('bulge', ['bend' => 0.5], $box), 0))->toEqualWithDelta(2.0, 1e-9)
        ->and($height(bend('bulge', ['by' => 'inches', 'rise' => 0.25], $box), 4))->toEqualWithDelta(2.5, 1e-9)
        ->and($height(bend('pinch', ['bend' => 0.5], $box), 4))->toEqualWithDelta(1.0, 1e-9)
        ->and(($c = bend('wave', ['by' => 'inches', 'rise' => 0.5], $box)->forward)(2.0, 1.0)[1])->toEqualWithDelta(0.5, 1e-9)
        ->and($c(6.0, 1.0)[1])->toEqualWithDelta(1.5, 1e-9)
        ->and((bend('flag', [], $box)->forward)(0.0, 1.0)[1])->toEqualWithDelta(1.0, 1e-9)
        ->and(($r = bend('rise', ['bend' => 0.25], $box)->forward)(8.0, 1.0)[1])->toEqualWithDelta(-1.0, 1e-9)
        ->and($r(0.0, 1.0)[1])->toEqualWithDelta(1.0, 1e-9)
        ->and($height(bend('stretch', ['down' => 1.5], $box), 3))->toEqualWithDelta(3.0, 1e-9);
});

it('stands letters on a circle and turns each as it is', function (float $bend): void {
    $letters = [];
    for ($i = 0; $i < 9; $i++) {
        $letters[] = new Letter(Outline::rectangle(0.6, 1)->transformed(TallCrow\Geometry\Affine::shift($i + 0.5, -0.5)), 0, 'I', 0, $i + 0.5, 0.0);
    }
    $placed = Fixtures::effect('circle', ['bend' => $bend])->place($letters, 0.7);
    $radius = 8.6 / (2 * M_PI * abs($bend));
    $up = $bend <=> 0;
    foreach ($placed as $i => $letter) {
        $angle = ($i + 0.5 - 4.5) / $radius;
        // On the circle, a chord of 2 r sin(φ ÷ 2) from the letter before.
        expect(hypot($letter->x - 4.5, $letter->baseline - $up * $radius))->toEqualWithDelta($radius, 1e-9);
        if ($i > 0) {
            expect(hypot($letter->x - $placed[$i - 1]->x, $letter->baseline - $placed[$i - 1]->baseline))->toEqualWithDelta(2 * $radius * sin(1 / $radius / 2), 1e-9);
        }
        // As large as it was: the area of a turned rectangle's corners.
        [$a, $b, $c] = array_values(array_filter($letter->path->segments, fn (array $s): bool => $s[0] !== 'Z'));
        expect(hypot($b[1] - $a[1], $b[2] - $a[2]) * hypot($c[1] - $b[1], $c[2] - $b[2]))->toEqualWithDelta(0.6, 1e-9)
            ->and(sin(atan2($b[2] - $a[2], $b[1] - $a[1])))->toEqualWithDelta(sin($up * $angle), 1e-6);
    }
})->with([0.3, 0.9, -0.5]);

// Wherever the box lies and whatever its size: the height of a swelling at a part u of the half width, from the middle, is 1 + by (1 − u²) of what it was.
it('swells and pinches about the middle of the box', function (string $kind, array $values, float $by): void {
    $map = bend($kind, $values, new Box(3, 1.5, 9, 4.5));
    foreach ([-1.0, -0.5, 0.0, 0.25, 1.0] as $u) {
        foreach ([-1.5, 0.6] as $down) {
            [$x, $y] = ($map->forward)(6 + 3 * $u, 3 + $down);
            expect($x)->toEqualWithDelta(6 + 3 * $u, 1e-9)->and($y)->toEqualWithDelta(3 + $down * (1 + $by * (1 - $u ** 2)), 1e-9);
        }
    }
})->with([
    'bulge by a share' => ['bulge', ['bend' => 0.5], 0.5],
    'bulge by inches' => ['bulge', ['by' => 'inches', 'rise' => 0.3], 0.2],
    'pinch by a share' => ['pinch', ['bend' => 0.5], -0.5],
    'pinch by inches' => ['pinch', ['by' => 'inches', 'rise' => 0.3], -0.2],
    'pinch by more than there is' => ['pinch', ['by' => 'inches', 'rise' => 4], -0.9],
]);

it('climbs along a smooth step from end to end, 3 t² − 2 t³', function (): void {
    $map = bend('rise', ['bend' => 0.25], new Box(3, 1.5, 9, 4.5));
    foreach ([0.0 => 0.0, '0.25' => 0.15625, '0.5' => 0.5, '0.75' => 0.84375, '1' => 1.0] as $t => $share) {
        expect(($map->forward)(3 + 6 * (float) $t, 2.0)[1])->toEqualWithDelta(2.0 - 1.5 * $share, 1e-9);
    }
    expect(($map->forward)(1.0, 2.0)[1])->toEqualWithDelta(2.0, 1e-9)->and(($map->forward)(11.0, 2.0)[1])->toEqualWithDelta(0.5, 1e-9);
});

it('waves a flag the more the further it is from its pole', function (): void {
    $map = bend('flag', ['bend' => 0.4, 'waves' => 2], new Box(3, 1.5, 9, 4.5));
    foreach ([0.0, 0.125, 0.375, 0.5, 0.625, 0.875, 1.0] as $t) {
        expect(($map->forward)(3 + 6 * $t, 2.0)[1])->toEqualWithDelta(2.0 - 0.4 * 3 * $t * sin(4 * M_PI * $t), 1e-9);
    }
});

it('arches about the middle of a box that lies anywhere', function (): void {
    $map = bend('arch', ['by' => 'inches', 'rise' => 0.75], new Box(3, 1.5, 9, 4.5));
    // r = (0.75² + 3²) ÷ 1.5 = 6.375; half way to an end the circle has fallen by r − √(r² − 1.5²).
    expect(($map->forward)(6.0, 2.0)[1])->toEqualWithDelta(1.25, 1e-9)->and(($map->forward)(3.0, 2.0)[1])->toEqualWithDelta(2.0, 1e-9)->and(($map->forward)(9.0, 2.0)[1])->toEqualWithDelta(2.0, 1e-9)
        ->and(($map->forward)(7.5, 2.0)[1])->toEqualWithDelta(1.25 + 6.375 - sqrt(6.375 ** 2 - 1.5 ** 2), 1e-9);
});

// The ends of an arc of length l on a circle of radius r are 2 r sin(l ÷ 2r) apart, and r (1 − cos(l ÷ 2r)) below its middle.
it('brings the ends of a ring together as a circle does', function (array $values, float $up): void {
    $box = new Box(3, 1.5, 9, 4.5);
    $map = bend('ring', $values, $box);
    $radius = isset($values['bend']) ? 6 / (2 * M_PI * abs($values['bend'])) : Arc::radiusOfLength(6, abs($values['rise']));
    [$left, $middle, $right] = [($map->forward)(3.0, 3.0), ($map->forward)(6.0, 3.0), ($map->forward)(9.0, 3.0)];
    expect($middle)->toEqualWithDelta([6.0, 3.0], 1e-9)->and($right[0] - $left[0])->toEqualWithDelta(2 * $radius * sin(3 / $radius), 1e-6)
        ->and($right[1])->toEqualWithDelta($left[1], 1e-9)->and($up * ($right[1] - $middle[1]))->toEqualWithDelta($radius * (1 - cos(3 / $radius)), 1e-6);
    isset($values['rise']) && expect($up * ($right[1] - $middle[1]))->toEqualWithDelta(abs($values['rise']), 1e-5);
})->with([
    [['bend' => 0.4], 1.0],
    [['bend' => -0.4], -1.0],
    [['by' => 'inches', 'rise' => 0.8], 1.0],
    [['by' => 'inches', 'rise' => -0.8], -1.0],
]);

it('stands letters of a lower line on a circle within the first, or about it where they stand on the inside', function (float $bend): void {
    $letter = fn (float $x, float $baseline, int $line): Letter => new Letter(Outline::rectangle(0.6, 1)->transformed(TallCrow\Geometry\Affine::shift($x, $baseline - 0.5)), $line, 'I', 0, $x, $baseline);
    $letters = [$letter(4.0, 2.0, 0), $letter(8.0, 2.0, 0), $letter(4.0, 3.2, 1), $letter(8.0, 3.2, 1)];
    $placed = Fixtures::effect('circle', ['bend' => $bend])->place($letters, 0.7);
    $radius = 4.6 / (2 * M_PI * abs($bend));
    $up = $bend <=> 0;
    foreach ($placed as $i => $one) {
        $out = $radius + $up * ($i < 2 ? 0.0 : -1.2);
        $angle = ($i % 2 === 0 ? -2 : 2) / $radius;
        expect($one->x)->toEqualWithDelta(6 + $out * sin($angle), 1e-9)->and($one->baseline)->toEqualWithDelta(2.0 + $up * ($radius - $out * cos($angle)), 1e-9);
    }
    expect(Fixtures::effect('circle', ['bend' => $bend])->place([], 0.7))->toBe([]);
})->with([0.3, -0.3]);

it('bends no curve further from its true image than the tolerance', function (string $kind): void {
    $source = Path::join(Outline::ellipse(8, 2), Outline::rectangle(7.9, 1.2), Outline::star(5, 0.4, 2, 2));
    $map = bend($kind, [], $source->bounds());
    $bent = $source->mapped($map->forward, Fitting::TOLERANCE, 0.5);
    $chords = [];
    $at = [0.0, 0.0];
    foreach ($bent->segments as $segment) {
        if ($segment[0] === 'Q' || $segment[0] === 'C') {
            $made = [];
            Bezier::chords($at, $segment, 0.00002, $made);
            foreach ($made as $chord) {
                $chords[] = [$at, [$chord[1], $chord[2]]];
                $at = [$chord[1], $chord[2]];
            }
        } elseif ($segment[0] === 'L') {
            $chords[] = [$at, [$segment[1], $segment[2]]];
        }
        $at = $segment[0] === 'Z' ? $at : Path::end($segment);
    }
    $worst = 0.0;
    $at = [0.0, 0.0];
    foreach ($source->segments as $segment) {
        if ($segment[0] === 'C') {
            for ($i = 0; $i <= 24; $i++) {
                $t = $i / 24;
                $point = ($map->forward)(Bezier::cubic($at[0], $segment[1], $segment[3], $segment[5], $t), Bezier::cubic($at[1], $segment[2], $segment[4], $segment[6], $t));
                $nearest = INF;
                foreach ($chords as [$p, $q]) {
                    [$dx, $dy] = [$q[0] - $p[0], $q[1] - $p[1]];
                    $along = max(0.0, min(1.0, (($point[0] - $p[0]) * $dx + ($point[1] - $p[1]) * $dy) / max(1e-12, $dx * $dx + $dy * $dy)));
                    $nearest = min($nearest, hypot($point[0] - $p[0] - $along * $dx, $point[1] - $p[1] - $along * $dy));
                }
                $worst = max($worst, $nearest);
            }
        }
        $at = $segment[0] === 'Z' ? $at : Path::end($segment);
    }
    // 0.15 px at 300 ppi, as docs/how-it-works.md says. The middle of each piece is held; in between a curve strays little further.
    expect($worst)->toBeLessThan(0.15 / 300 * 1.5);
})->with(WARPS);

it('sizes what is bent until it is as wide and as tall as asked', function (?float $width, ?float $height, string $kind, array $values): void {
    $letters = [Letter::figure(Outline::rectangle(4, 1)), Letter::figure(Outline::ellipse(1, 1)->transformed(TallCrow\Geometry\Affine::shift(3, 0)))];
    $fitted = (new Fitting(new Placement(0, 0, $width, $height, 0, Flip::None), [Fixtures::effect($kind, $values)]))->letters($letters);
    $box = Letter::together($fitted)->bounds();
    expect($box->centreX())->toEqualWithDelta(0.0, 1e-6)->and($box->centreY())->toEqualWithDelta(0.0, 1e-6);
    if ($width !== null) {
        expect($box->width())->toEqualWithDelta($width, 1e-5);
    }
    if ($height !== null) {
        expect($box->height())->toEqualWithDelta($height, 1e-5);
    }
})->with([[9.0, null], [null, 3.0], [9.0, 4.0]])->with([
    ['arch', ['by' => 'inches', 'rise' => 1.0]], ['arch', ['bend' => 0.3]], ['ring', ['by' => 'inches', 'rise' => 0.8]], ['ring', ['bend' => 0.6]], ['wave', ['by' => 'inches', 'rise' => 0.4]],
]);

it('waves a flag up first where it bends upwards, from a still edge at the left', function (): void {
    // y = -crest · share · sin(2π · waves · share) for a share of the width from the left; up is less.
    $map = bend('flag', ['bend' => 0.5, 'waves' => 1], new Box(0, 0, 4, 2));
    expect(($map->forward)(0, 1))->toEqualWithDelta([0.0, 1.0], 1e-9)->and(($map->forward)(1, 1))->toEqualWithDelta([1.0, 1 - 0.25], 1e-9)
        ->and(($map->forward)(3, 1))->toEqualWithDelta([3.0, 1 + 0.75], 1e-9)->and(($map->forward)(4, 1))->toEqualWithDelta([4.0, 1.0], 1e-9);
    expect((bend('flag', ['bend' => -0.5, 'waves' => 1], new Box(0, 0, 4, 2))->forward)(1, 1)[1])->toEqualWithDelta(1.25, 1e-9);
});

it('draws pictures by the warp to a fraction of a pixel', function (string $kind, array $values): void {
    // Each pixel of the source says where it stands, four levels to the pixel; so each that is drawn says where it came from.
    $bytes = '';
    for ($y = 0; $y < 60; $y++) {
        for ($x = 0; $x < 60; $x++) {
            $bytes .= chr($x * 4).chr($y * 4)."\0\xff";
        }
    }
    $source = Image::raw($bytes, 60, 60, 4)->asColours()->settled();
    $bend = bend($kind, $values, new Box(0, 0, 60, 60));
    $frame = new Frame(10, 0, 0, 600, 600);
    $back = fn (float $x, float $y): array => ($bend->back)($x, $y);
    $drawn = Resampler::bent($source, $back, $frame, $bend->bounds(new Box(0, 0, 60, 60)));
    $seen = 0;
    for ($j = 3; $j < 600; $j += 13) {
        for ($i = 3; $i < 600; $i += 13) {
            [$x, $y] = $back(($i + 0.5) / 10, ($j + 0.5) / 10);
            // Away from the rim, where what lies beyond is clear.
            if ($x > 3 && $x < 57 && $y > 3 && $y < 57) {
                [$red, $green] = Fixtures::pixel($drawn, $i, $j);
                expect($red)->toEqualWithDelta(($x - 0.5) * 4, 1.3)->and($green)->toEqualWithDelta(($y - 0.5) * 4, 1.3);
                $seen++;
            }
        }
    }
    expect($seen)->toBeGreaterThan(500);
})->with([
    'waves' => ['wave', ['bend' => 0.1]], 'an arch' => ['arch', ['bend' => 0.4]], 'a flag' => ['flag', ['bend' => 0.15, 'waves' => 3]],
]);

it('bends a part of a picture as it bends the whole', function (string $kind, array $values, int $finer = 1): void {
    $bytes = '';
    for ($i = 0; $i < 90 * 60; $i++) {
        $bytes .= chr(($i * 37) & 255).chr(($i % 90) * 2).chr(intdiv($i, 90) * 4).chr(255 - ($i & 63));
    }
    $source = Image::raw($bytes, 90, 60, 4)->asColours()->settled();
    $bend = bend($kind, $values, new Box(0, 0, 90, 60));
    $whole = $bend->bounds(new Box(0, 0, 90, 60));
    $back = fn (float $x, float $y): array => ($bend->back)($x, $y);
    $all = Frame::about($whole, 8);
    assert($all !== null);
    $drawn = Resampler::bent($source, $back, $all, $whole, $finer);
    foreach ([[0, 0, 700, 40], [101, 57, 23, 31], [333, 211, 150, 160], [64, 128, 64, 64], [5, 3, 6, 300]] as [$x, $y, $width, $height]) {
        $part = Resampler::bent($source, $back, new Frame(8, $all->left + $x, $all->top + $y, $width, $height), $whole, $finer);
        expect($part->toBytes())->toBe($drawn->crop($x, $y, $width, $height)->toBytes());
    }
})->with([
    'waves' => ['wave', ['bend' => 0.1]], 'an arch' => ['arch', ['bend' => 0.4]], 'a flag' => ['flag', ['bend' => 0.15, 'waves' => 3]], 'a ring' => ['ring', ['bend' => 0.6]],
    'a steep flag' => ['flag', ['bend' => 0.7, 'waves' => 5]], 'a closed ring' => ['ring', ['bend' => 1.0]], 'a pinch of finer pixels' => ['pinch', ['bend' => 0.6], 2], 'a flag of finer pixels' => ['flag', ['bend' => 0.3, 'waves' => 2], 2],
    'a closed ring of finer pixels' => ['ring', ['bend' => 1.0], 2],
]);

it('leaves all clear where no part of a picture comes to lie, behind a ring, too', function (float $bend, int $height): void {
    $source = Image::raw(str_repeat("\xb0\x40\x20\xff", 90 * $height), 90, $height, 4)->asColours()->settled();
    $bent = bend('ring', ['bend' => $bend], new Box(0, 0, 90, $height));
    $whole = $bent->bounds(new Box(0, 0, 90, $height));
    $frame = Frame::about($whole, 6);
    assert($frame !== null);
    $drawn = Resampler::bent($source, fn (float $x, float $y): array => ($bent->back)($x, $y), $frame, $whole)->alpha()->toBytes();
    $stray = $missing = 0;
    for ($j = 0; $j < $frame->height; $j++) {
        for ($i = 0; $i < $frame->width; $i++) {
            [$x, $y] = ($bent->back)(($frame->left + $i + 0.5) / 6, ($frame->top + $j + 0.5) / 6);
            $level = ord($drawn[$j * $frame->width + $i]);
            $stray += $level > 0 && ($x < -1.5 || $x > 91.5 || $y < -1.5 || $y > $height + 1.5) ? 1 : 0;
            $missing += $level < 255 && $x > 1.5 && $x < 88.5 && $y > 1.5 && $y < $height - 1.5 ? 1 : 0;
        }
    }
    expect($stray)->toBe(0)->and($missing)->toBe(0);
})->with([0.6, 0.3, -0.45, 0.95, 1.0, -1.0])->with([20, 40]);

// Where an edge is mixed of ink and of nothing, its colour is the ink's: a brighter one shows as a pale line on dark cloth.
it('leaves a flat picture in its colour up to the edge, bent or turned', function (array $lines, float $turn): void {
    $folder = Fixtures::temporary('flat');
    Fixtures::run(['convert', '-size', '400x400', 'xc:none', '-fill', '#b04a2c', '-draw', 'circle 200,200 200,20', "PNG32:$folder/disc.png"]);
    $disc = ['id' => 'd', 'source' => ['kind' => 'art', 'file' => 'disc.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2.0, 'height' => null, 'turn' => $turn], 'effects' => $lines];
    $picture = Fixtures::render(Fixtures::artwork([$disc]), 300, $folder);
    [$edge, $off] = [0, []];
    foreach (str_split($picture->toBytes(), 4) as $pixel) {
        [$red, $green, $blue, $alpha] = array_map(ord(...), str_split($pixel));
        if ($alpha > 40) {
            $edge += $alpha < 255 ? 1 : 0;
            if (max(abs($red - 0xB0), abs($green - 0x4A), abs($blue - 0x2C)) > 1) {
                $off[] = "$red $green $blue $alpha";
            }
        }
    }
    expect($edge)->toBeGreaterThan(500)->and($off)->toBe([]);
})->with(['turned' => [[], 17.0], 'under a wave' => [[['kind' => 'wave']], 0.0], 'under a steep flag' => [[['kind' => 'flag', 'bend' => 0.5, 'waves' => 3]], 0.0], 'bent and turned' => [[['kind' => 'bulge']], -40.0]]);
