<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Geometry\Box;
use TallCrow\Preflight\FineDetail;
use TallCrow\Preflight\PrintedPart;
use TallCrow\Preflight\Strokes;
use TallCrow\Preflight\Verdict;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/subjects.php';

const STROKE_INK = '#f3ead7';

/** @return array<string, mixed> a bar of a length and a width, turned where it lies */
function stroke_bar(string $id, float $long, float $wide, float $turn, float $x = 1.51, float $y = 2.003): array
{
    return Fixtures::shape($id, 'rectangle', $long, STROKE_INK, ['placement' => ['x' => $x, 'y' => $y, 'width' => $long, 'height' => $wide, 'turn' => $turn, 'flip' => 'none']]);
}

/**
 * Two plates that lie so far apart.
 *
 * @return list<array<string, mixed>>
 */
function plates(float $long, float $apart, float $turn): array
{
    $off = ($apart + 0.4) / 2;

    return array_map(fn (int $side): array => stroke_bar("p$side", $long, 0.4, $turn, 0.81 - sin(deg2rad($turn)) * $off * $side, 0.803 + cos(deg2rad($turn)) * $off * $side), [-1, 1]);
}

function stroke_alpha(Artwork $artwork, float $ppi = 300): Image
{
    return Fixtures::render($artwork, $ppi)->alpha()->settled();
}

/**
 * A sheet that is just large enough: most of the work is in its pixels.
 *
 * @param  list<array<string, mixed>>  $bars
 */
function small_sheet(array $bars): Artwork
{
    return Fixtures::artwork($bars, ['sheet' => ['width' => 480, 'height' => 480, 'ppi' => 300]]);
}

/** Inches that a gauge of the sheet tells of fine lines, or of fine gaps. */
function told_inches(Artwork $artwork, string $key, float $ppi): float
{
    $finding = gauged(new FineDetail, $artwork, $ppi)[$key];

    return $finding->verdict === Verdict::Pass ? 0.0 : (float) $finding->figure;
}

// A bar is as long and as wide as it was drawn: no other measure is needed.
it('measures a bar that is thinner, and none that is as wide, at any angle', function (float $turn): void {
    $long = fn (float $wide): float => Strokes::thinnerThan(0.014, stroke_alpha(small_sheet([stroke_bar('b', 1.2, $wide, $turn, 0.81, 0.803)])), 300)->length(0.08);
    foreach ([0.01, 0.0115, 0.0122] as $wide) {
        // Its ends are as long as it is wide.
        expect($long($wide))->toBeBetween(1.2 * 0.93, 1.2 * 1.07 + 2 * $wide);
    }
    foreach ([0.0145, 0.016, 0.03] as $wide) {
        expect($long($wide))->toBe(0.0);
    }
})->with([0.0, 17.0, 45.0, 71.0, 90.0, 134.0]);

it('counts neither the corners of a plate nor the tip of a star', function (): void {
    $alpha = stroke_alpha(Fixtures::artwork([
        Fixtures::shape('s', 'star', 1.2, STROKE_INK, ['placement' => ['x' => 1.5, 'y' => 1]]), stroke_bar('b', 1.0, 0.3, 20, 1.5, 3.0),
    ]));
    expect(Strokes::thinnerThan(0.014, $alpha, 300)->length(0.08))->toBe(0.0);
});

it('counts a line in the parts that it lies in, each time the part of it', function (): void {
    // Along the border of two parts, from 150 px on; the parts begin at 100 px and end at 600.
    $alpha = stroke_alpha(Fixtures::artwork([stroke_bar('b', 2.0, 0.01, 0, 1.5, 2.0)]));
    $rim = Strokes::rim(0.014, 300);
    $pixels = (int) round($rim * 300);
    $part = fn (int $top): float => Strokes::thinnerThan(0.014, $alpha->crop(100 - $pixels, $top - $pixels, 500 + 2 * $pixels, 300 + 2 * $pixels)->settled(), 300)->length(0.08, $rim);
    expect($rim)->toBe($pixels / 300)->and($part(300) + $part(600))->toBeBetween(1.5 * 0.93, 1.5 * 1.07)
        ->and($part(300))->toBeGreaterThan(0.2)->and($part(600))->toBeGreaterThan(0.2);
});

it('tells how thin the thinnest strokes are', function (float $wide, float $least, float $from, float $to): void {
    // As much ink in a bar of 0.2 in as in the others, so that its share is well over a seventh.
    $alpha = stroke_alpha(Fixtures::artwork([stroke_bar('a', 2.0, $wide, 30, 1.5, 1.5), stroke_bar('b', $wide * 4, 0.2, 0, 1.5, 3.4)]));
    expect(Strokes::thinnest($alpha, 300, $least, 0.15))->toBeBetween($from, $to);
})->with([[0.01, 0.012, 0.0085, 0.0115], [0.013, 0.012, 0.012, 0.0165], [0.02, 0.012, 0.016, 0.024], [0.03, 0.012, 0.026, 0.035], [0.1, 0.012, 0.048, 0.048], [0.01, 0.02, 0.0085, 0.0115]]);

it('tells nothing of a width that no pixel of the picture shows, and makes no large picture of it', function (): void {
    $alpha = stroke_alpha(Fixtures::artwork([stroke_bar('b', 2.0, 0.01, 0)]));
    expect(Strokes::thinnerThan(0.0005, $alpha, 300)->length(0.08))->toBe(0.0)->and(Strokes::thinnest($alpha, 300, 0.0001, 0.15))->toBe(0.0004);
});

it('measures a large shape by a smaller disc', function (): void {
    // Twelve times ten inches at 300 ppi: eleven pixels to 0.014 in would be 74 million.
    $alpha = stroke_alpha(Fixtures::artwork([stroke_bar('b', 8.0, 0.01, 20, 6, 5), stroke_bar('c', 8.0, 0.03, 20, 6, 7)], ['sheet' => ['width' => 3600, 'height' => 3000, 'ppi' => 300]]));
    expect(Strokes::thinnerThan(0.014, $alpha, 300)->length(0.08))->toBeBetween(7.2, 8.8);
});

it('tells the same of fine lines and gaps from a coarse picture as from the print', function (float $wide, float $turn, bool $isFine): void {
    $line = small_sheet([stroke_bar('b', 1.2, $wide, $turn, 0.81, 0.803)]);
    $gap = small_sheet(plates(1.2, $wide, $turn));
    foreach ([150.0, 300.0] as $ppi) {
        foreach ([[$line, 'line-fine'], [$gap, 'gap-fine']] as [$artwork, $key]) {
            expect(told_inches($artwork, $key, $ppi))->toBeBetween($isFine ? 1.2 * 0.9 : 0.0, $isFine ? 1.2 * 1.1 : 0.0, "$key at $ppi ppi");
        }
        expect(told_inches($line, 'gap-fine', $ppi))->toBe(0.0)->and(told_inches($gap, 'line-fine', $ppi))->toBe(0.0);
    }
})->with([[0.01, 0.0, true], [0.012, 90.0, true], [0.0125, 45.0, true], [0.0145, 45.0, false], [0.016, 106.0, false], [0.018, 45.0, false]]);

it('draws a part of a print by itself as in the whole', function (): void {
    $artwork = Fixtures::artwork([stroke_bar('b', 2.0, 0.1, 30), stroke_bar('c', 1.0, 0.2, 120)]);
    $subject = subject_of($artwork, 150);
    $part = PrintedPart::of($artwork, $subject, new Box(1.0, 1.5, 2.0, 2.5));
    $off = $part->picture()->alpha()->minus(Fixtures::render($artwork)->crop(300, 450, 300, 300)->alpha());
    expect([$part->frame->left, $part->frame->top, $part->frame->width, $part->frame->height, $part->frame->ppi])->toBe([300, 450, 300, 300, 300.0])
        ->and($off->range())->toEqualWithDelta([0.0, 0.0], 1.0)
        ->and($part->figure($subject->picture->picture, 'a figure', fn (): float => 2.5))->toBe(2.5);
});

it('sees what is thinner than the step that it looks in', function (): void {
    // Four pixels of the print high, looked at in every sixth.
    $hair = Fixtures::artwork([stroke_bar('b', 2.0, 0.01, 0), stroke_bar('c', 2.0, 0.01, 90)]);
    $top = subject_of($hair, 300)->topmost(Frame::sheet($hair->sheet, 50));
    expect(array_diff($top->ids, ['b', 'c']))->toBe([])
        // Every sixth row is a point of the grid: 600 ± 1.5 holds one, 603 ± 1.5 none.
        ->and(subject_of(Fixtures::artwork([stroke_bar('b', 2.0, 0.01, 0, 1.5, 2.0)]), 300)->topmost(Frame::sheet($hair->sheet, 50))->whole)->toBe(['b' => 100])
        ->and(subject_of(Fixtures::artwork([stroke_bar('b', 2.0, 0.01, 0, 1.5, 2.01)]), 300)->topmost(Frame::sheet($hair->sheet, 50))->whole)->toBe([]);
});
