<?php

declare(strict_types=1);

use TallCrow\Artwork\Sheet;
use TallCrow\Geometry\Box;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Render\Frame;

/** @return array{int, int, int, int} */
function window_of(?Frame $frame): array
{
    return $frame === null ? [0, 0, 0, 0] : [$frame->left, $frame->top, $frame->width, $frame->height];
}

it('rounds a sheet to whole pixels at any ppi, and to one at least', function (float $ppi, int $width, int $height): void {
    $frame = Frame::sheet(Sheet::of(PrintArea::pixels('tee', 4500, 5401, Ppi::of(300))), $ppi);
    expect([$frame->width, $frame->height, $frame->ppi])->toBe([$width, $height, $ppi]);
})->with([[300.0, 4500, 5401], [60.0, 900, 1080], [100.0, 1500, 1800], [0.05, 1, 1]]);

it('takes in every pixel that a box touches, and none that it only borders', function (array $box, array $window): void {
    expect(window_of(Frame::about(new Box(...$box), 100)))->toBe($window);
})->with([
    [[0.0, 0.0, 0.05, 0.03], [0, 0, 5, 3]], [[0.001, 0.009, 0.05, 0.031], [0, 0, 5, 4]], [[-0.015, 0.02, 0.005, 0.04], [-2, 2, 3, 2]], [[1.0, 1.0, 1.0, 1.2], [0, 0, 0, 0]],
]);

it('makes windows finer, coarser and wider about the same place', function (): void {
    $frame = new Frame(100, 7, -5, 20, 11);
    expect(window_of($frame->finer(3)))->toBe([21, -15, 60, 33])->and($frame->finer(3)->ppi)->toBe(300.0)
        ->and(window_of($frame->coarser(3)))->toBe([2, -2, 6, 3])->and(window_of($frame->grown(4)))->toBe([3, -9, 28, 19])
        // From pixel 7 on to 27, and from −5 to 6: in threes, from 2 to 9 and from −2 to 2.
        ->and(window_of($frame->coarserAround(3)))->toBe([2, -2, 7, 4])->and($frame->coarserAround(4)->ppi)->toBe(25.0)->and($frame->coarserAround(1))->toEqual($frame);
});

it('holds all of a window in the coarser one about it, whatever the window', function (int $by): void {
    mt_srand($by);
    for ($i = 0; $i < 200; $i++) {
        $frame = new Frame(300, mt_rand(-50, 50), mt_rand(-50, 50), mt_rand(1, 90), mt_rand(1, 90));
        $back = $frame->coarserAround($by)->finer($by);
        expect($back->left)->toBeLessThanOrEqual($frame->left)->toBeGreaterThan($frame->left - $by)->and($back->left + $back->width)->toBeGreaterThanOrEqual($frame->left + $frame->width)->toBeLessThan($frame->left + $frame->width + $by)
            ->and($back->top)->toBeLessThanOrEqual($frame->top)->and($back->top + $back->height)->toBeGreaterThanOrEqual($frame->top + $frame->height);
    }
})->with([2, 3, 5]);

it('cuts windows to what they share', function (): void {
    $frame = new Frame(100, 0, 0, 30, 40);
    expect(window_of($frame->overlap(new Frame(100, 20, -5, 30, 10))))->toBe([20, 0, 10, 5])->and($frame->overlap(new Frame(100, 30, 0, 5, 5)))->toBeNull()->and($frame->overlap(new Frame(100, -5, 0, 5, 5)))->toBeNull()
        ->and(window_of($frame->within(new Box(0.1, 0.35, 0.5, 0.6))))->toBe([10, 35, 20, 5])->and($frame->within(new Box(0.5, 0.0, 0.6, 0.1)))->toBeNull();
    [$x, $y] = (new Frame(100, 7, -5, 20, 11))->fromInches()->apply(0.5, 0.25);
    expect([$x, $y])->toEqualWithDelta([43.0, 30.0], 1e-9);
});
