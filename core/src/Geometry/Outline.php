<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/** Outlines of simple shapes, centred on the origin. */
final class Outline
{
    /** Cubic arcs per circle. Eight are off by at most 0.0004 % of the radius; four would be off by 0.03 %, half a pixel on 12 inches at 300 ppi. */
    private const ARCS = 8;

    public static function rectangle(float $width, float $height): Path
    {
        [$x, $y] = [$width / 2, $height / 2];

        return Path::polygon([[-$x, -$y], [$x, -$y], [$x, $y], [-$x, $y]]);
    }

    public static function ellipse(float $width, float $height): Path
    {
        [$x, $y] = [$width / 2, $height / 2];
        $step = 2 * M_PI / self::ARCS;
        $handle = 4 / 3 * tan($step / 4);
        $segments = [['M', $x, 0.0]];
        for ($i = 0; $i < self::ARCS; $i++) {
            [$cos, $sin] = [cos($i * $step), sin($i * $step)];
            // Close the circle exactly, without rounding errors.
            [$endCos, $endSin] = $i === self::ARCS - 1 ? [1.0, 0.0] : [cos(($i + 1) * $step), sin(($i + 1) * $step)];
            $segments[] = ['C', $x * ($cos - $handle * $sin), $y * ($sin + $handle * $cos), $x * ($endCos + $handle * $endSin), $y * ($endSin - $handle * $endCos), $x * $endCos, $y * $endSin];
        }

        return new Path([...$segments, ['Z']]);
    }

    /** A regular polygon scaled to the given box, with a vertex at the top. */
    public static function polygon(int $sides, float $width, float $height): Path
    {
        return self::spokes($sides, fn (int $i): float => 1.0, $width, $height);
    }

    /** @param  float  $waist inner radius ÷ outer radius, above 0 and below 1 */
    public static function star(int $points, float $waist, float $width, float $height): Path
    {
        return self::spokes($points * 2, fn (int $i): float => $i % 2 === 0 ? 1.0 : $waist, $width, $height);
    }

    /** @param  float  $thickness ring width as a share of the radius, 0 to 1 */
    public static function ring(float $thickness, float $width, float $height): Path
    {
        $hole = self::ellipse($width * (1 - $thickness), $height * (1 - $thickness))->transformed(Affine::scale(-1, 1));

        return Path::join(self::ellipse($width, $height), $hole);
    }

    /** @param  callable(int): float  $radius */
    private static function spokes(int $count, callable $radius, float $width, float $height): Path
    {
        $points = [];
        for ($i = 0; $i < max(1, $count); $i++) {
            $angle = 2 * M_PI * $i / $count - M_PI / 2;
            $points[] = [cos($angle) * $radius($i), sin($angle) * $radius($i)];
        }
        $path = Path::polygon($points);
        $box = $path->bounds();

        return $path
            ->transformed(Affine::shift(-$box->centreX(), -$box->centreY()))
            ->transformed(Affine::scale($width / $box->width(), $height / $box->height()));
    }
}
