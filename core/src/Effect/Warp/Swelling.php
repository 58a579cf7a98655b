<?php

declare(strict_types=1);

namespace TallCrow\Effect\Warp;

use TallCrow\Geometry\Bend;
use TallCrow\Geometry\Box;

/** Changes the height along a parabola: full effect in the middle, none at the ends. */
final class Swelling
{
    private const FLATTEST = 0.05;

    /** @param  float  $by  share by which the middle grows; negative compresses it */
    public static function of(Box $box, float $by): Bend
    {
        [$x0, $y0, $reach] = [$box->centreX(), $box->centreY(), max(1e-9, $box->width() / 2)];
        $size = fn (float $x): float => max(self::FLATTEST, 1 + $by * (1 - min(1.0, (($x - $x0) / $reach) ** 2)));

        return new Bend(
            fn (float $x, float $y): array => [$x, $y0 + ($y - $y0) * $size($x)],
            fn (float $x, float $y): array => [$x, $y0 + ($y - $y0) / $size($x)],
        );
    }
}
