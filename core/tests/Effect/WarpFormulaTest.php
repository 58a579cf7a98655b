<?php

declare(strict_types=1);

use TallCrow\Effect\BendsOutline;
use TallCrow\Effect\PlacesLetters;
use TallCrow\Effect\Warp\Arc;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Outline;
use TallCrow\Tests\Fixtures;
use TallCrow\Type\Letter;

/**
 * Where a warp lays a point of the box from (2, 1) to (10, 3), which is 8 wide and 2 high.
 *
 * @param  array<string, mixed>  $values
 * @return array{float, float}
 */
function warped(string $kind, array $values, float $x, float $y): array
{
    $effect = Fixtures::effect($kind, $values);
    assert($effect instanceof BendsOutline);

    return ($effect->bend(new Box(2, 1, 10, 3))->forward)($x, $y);
}

// The formulas of docs/how-it-works.md and of each warp's own words, worked by hand.
it('lays a point where its formula says', function (string $kind, array $values, array $from, array $to): void {
    [$x, $y] = warped($kind, $values, ...$from);
    expect($x)->toEqualWithDelta($to[0], 1e-9)->and($y)->toEqualWithDelta($to[1], 1e-9);
})->with([
    'a wave: a crest of ¼ of the height after a quarter of the way' => ['wave', ['bend' => 0.25, 'waves' => 1], [4, 2], [4, 1.5]],
    'a wave: back on the line half way' => ['wave', ['bend' => 0.25, 'waves' => 1], [6, 2], [6, 2.0]],
    'a wave: a trough after three quarters' => ['wave', ['bend' => 0.25, 'waves' => 1], [8, 2], [8, 2.5]],
    'a wave: twice as many, so a trough where one has its first zero' => ['wave', ['bend' => 0.25, 'waves' => 2], [5, 2], [5, 2.5]],
    'a wave downwards' => ['wave', ['bend' => -0.25, 'waves' => 1], [4, 2], [4, 2.5]],
    'a wave in inches' => ['wave', ['by' => 'inches', 'rise' => 0.7, 'waves' => 1], [4, 2], [4, 1.3]],
    'a flag holds its left edge' => ['flag', ['bend' => 0.5, 'waves' => 1.5], [2, 1.4], [2, 1.4]],
    'a flag: at half the way half the crest, 1.5 waves being one and a half turns' => ['flag', ['bend' => 0.5, 'waves' => 1.5], [6, 2], [6, 2 - 0.5 * sin(1.5 * M_PI)]],
    'a flag: the whole crest at its free end' => ['flag', ['bend' => 0.5, 'waves' => 0.25], [10, 2], [10, 1.0]],
    'a rise: none at its left' => ['rise', ['bend' => 0.25], [2, 2], [2, 2.0]],
    'a rise: half of the climb half way' => ['rise', ['bend' => 0.25], [6, 2], [6, 1.0]],
    'a rise: t²(3 − 2t) at a quarter is 5/32' => ['rise', ['bend' => 0.25], [4, 2], [4, 2 - 2 * 5 / 32]],
    'a rise: all of it at its right' => ['rise', ['bend' => 0.25], [10, 2], [10, 0.0]],
    'a rise: no more beyond its ends' => ['rise', ['bend' => 0.25], [12, 2], [12, 0.0]],
    'a rise: none before its beginning' => ['rise', ['bend' => 0.25], [0, 2], [0, 2.0]],
    'a rise in inches' => ['rise', ['by' => 'inches', 'rise' => 0.5], [10, 2], [10, 1.5]],
    'a bulge doubles the middle at 1' => ['bulge', ['bend' => 1.0], [6, 1], [6, 0.0]],
    'a bulge keeps the ends' => ['bulge', ['bend' => 1.0], [2, 1], [2, 1.0]],
    'a bulge keeps the middle line' => ['bulge', ['bend' => 1.0], [6, 2], [6, 2.0]],
    'a bulge: three quarters of it half way to an end' => ['bulge', ['bend' => 1.0], [4, 1], [4, 2 - 1.75]],
    'a bulge in inches: the edge rises by so much' => ['bulge', ['by' => 'inches', 'rise' => 0.3], [6, 1], [6, 0.7]],
    'a bulge goes no further than three times the height' => ['bulge', ['by' => 'inches', 'rise' => 9.0], [6, 1], [6, -1.0]],
    'a bulge does nothing beyond its ends' => ['bulge', ['bend' => 1.0], [14, 1], [14, 1.0]],
    'a pinch halves the middle at ½' => ['pinch', ['bend' => 0.5], [6, 1], [6, 1.5]],
    'a pinch in inches: the edge sinks by so much' => ['pinch', ['by' => 'inches', 'rise' => 0.3], [6, 3], [6, 2.7]],
    'a pinch leaves a tenth' => ['pinch', ['by' => 'inches', 'rise' => 5.0], [6, 1], [6, 1.9]],
    'a stretch is about the middle' => ['stretch', ['down' => 1.5, 'across' => 2.0], [7, 1], [8, 0.5]],
    'a stretch down alone' => ['stretch', ['down' => 0.5], [3, 3], [3, 2.5]],
    'an arch of a half circle' => ['arch', ['bend' => 1.0], [6, 3], [6, -1.0]],
    'an arch leaves its ends' => ['arch', ['bend' => 1.0], [10, 3], [10, 3.0]],
    'an arch rises no more than half its width' => ['arch', ['by' => 'inches', 'rise' => 20], [6, 3], [6, -1.0]],
    'an arch: at half of the half width, √(r² − x²) of a half circle' => ['arch', ['bend' => 1.0], [8, 3], [8, 3 - sqrt(16 - 4)]],
]);

it('says whether it is told in inches', function (string $kind): void {
    $measured = Fixtures::effect($kind, ['by' => 'inches', 'rise' => 0.5]);
    $shared = Fixtures::effect($kind, ['by' => 'percent']);
    assert($measured instanceof BendsOutline || $measured instanceof PlacesLetters);
    assert($shared instanceof BendsOutline || $shared instanceof PlacesLetters);
    expect($measured->isMeasured())->toBeTrue()->and($shared->isMeasured())->toBeFalse();
})->with(['arch', 'bulge', 'pinch', 'wave', 'flag', 'rise', 'ring', 'circle']);

it('leaves a ring without width or bend alone', function (): void {
    $ring = Fixtures::effect('ring', ['bend' => 0.5]);
    assert($ring instanceof BendsOutline);
    expect(($ring->bend(new Box(3, 0, 3, 2))->forward)(3.0, 1.5))->toBe([3.0, 1.5])
        ->and(warped('ring', ['bend' => 0.0], 4.0, 1.5))->toBe([4.0, 1.5]);
});

// An arc of length l with the sagitta s: s = r (1 − cos(l ÷ 2r)); its middle line is tangent to the old one in the middle.
it('bends into a ring whose middle line rises by so many inches', function (float $rise): void {
    $middle = warped('ring', ['by' => 'inches', 'rise' => $rise], 6.0, 2.0);
    $end = warped('ring', ['by' => 'inches', 'rise' => $rise], 10.0, 2.0);
    expect($middle)->toBe([6.0, 2.0])->and(($end[1] - $middle[1]) * ($rise <=> 0))->toEqualWithDelta(abs($rise), 1e-6);
})->with([0.5, 2.0, -1.25]);

it('keeps what would lie beyond the middle of a ring on it', function (): void {
    $radius = 8 / (2 * M_PI);
    [$x, $y] = warped('ring', ['bend' => 1.0], 6.0, 2 + 3 * $radius);
    expect(hypot($x - 6, $y - (2 + $radius)))->toEqualWithDelta(0.02 * $radius, 1e-9);
});

/** @return list<Letter> squares of one inch that stand side by side on a line at y = 0 */
function standing(int $count): array
{
    return array_map(fn (int $i): Letter => new Letter(Outline::rectangle(1, 1)->transformed(Affine::shift($i + 0.5, -0.5)), 0, 'I', x: $i + 0.5), range(0, $count - 1));
}

it('stands letters on a circle, each turned by the angle at which it stands', function (float $bend): void {
    $circle = Fixtures::effect('circle', ['bend' => $bend]);
    assert($circle instanceof PlacesLetters);
    $radius = 8 / (2 * M_PI * abs($bend));
    $up = $bend <=> 0;
    foreach ($circle->place(standing(8), 0.7) as $i => $letter) {
        $angle = ($i + 0.5 - 4) / $radius;
        expect($letter->x)->toEqualWithDelta(4 + $radius * sin($angle), 1e-9)
            ->and($letter->baseline)->toEqualWithDelta($up * $radius - $up * $radius * cos($angle), 1e-9);
        // The middle of a letter lies half an inch above its foot, outwards on the upper half and inwards on the lower.
        $box = $letter->path->bounds();
        $out = $radius + $up * 0.5;
        expect($box->centreX())->toEqualWithDelta(4 + $out * sin($angle), 1e-9)->and($box->centreY())->toEqualWithDelta($up * $radius - $up * $out * cos($angle), 1e-9);
    }
})->with([0.5, 1.0, -0.5]);

it('leaves letters alone where there is no circle', function (): void {
    $circle = Fixtures::effect('circle', ['bend' => 0.0]);
    assert($circle instanceof PlacesLetters);
    $letters = standing(3);
    expect($circle->place($letters, 0.7))->toBe($letters)->and($circle->place([], 0.7))->toBe([]);
});

it('stands letters on an arc that rises by so many inches', function (): void {
    $circle = Fixtures::effect('circle', ['by' => 'inches', 'rise' => 1.0]);
    assert($circle instanceof PlacesLetters);
    $placed = $circle->place(standing(8), 0.7);
    $radius = Arc::radiusOfLength(8.0, 1.0);
    // The outermost letters stand half an inch from the ends of the arc.
    expect($placed[0]->baseline)->toEqualWithDelta($radius - $radius * cos(3.5 / $radius), 1e-6)->and($placed[7]->baseline)->toEqualWithDelta($placed[0]->baseline, 1e-9);
});
