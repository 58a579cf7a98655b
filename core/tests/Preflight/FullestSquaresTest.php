<?php

declare(strict_types=1);

use TallCrow\Preflight\FullestSquares;
use TallCrow\Raster\Image;

it('finds the squares that have the most of a mask, cut where it ends', function (): void {
    $rows = array_fill(0, 25, str_repeat("\0", 34));
    // 30 pixels in the first square, 60 in the last of the first row, which is four wide, none but one in the foot.
    foreach (range(0, 2) as $y) {
        $rows[$y] = str_repeat("\xff", 10).substr($rows[$y], 10);
    }
    foreach (range(0, 9) as $y) {
        $rows[$y] = substr($rows[$y], 0, 30).str_repeat("\xff", 4);
    }
    $rows[22][12] = "\xff";
    $mask = Image::raw(implode('', $rows), 34, 25, 1);
    expect(FullestSquares::of($mask, 10, 5))->toBe([[30, 0, 4, 10], [0, 0, 10, 10], [10, 20, 10, 5]])
        ->and(FullestSquares::of($mask, 10, 1))->toBe([[30, 0, 4, 10]])
        ->and(FullestSquares::of(Image::empty(34, 25, 1), 10, 5))->toBe([]);
});
