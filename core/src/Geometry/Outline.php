<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/** The outlines of simple figures, centred on the origin. */
final class Outline
{
    /** Distance of the handles of a cubic quarter circle: off the true circle by 0.027 % of the radius at most. */
    private const QUARTER = 0.5522847498;

    public static function rectangle(float $width, float $height): Path
    {
        [$x, $y] = [$width / 2, $height / 2];

        return Path::polygon([[-$x, -$y], [$x, -$y], [$x, $y], [-$x, $y]]);
    }

    public static function ellipse(float $width, float $height): Path
    {
        [$x, $y] = [$width / 2, $height / 2];
        [$hx, $hy] = [$x * self::QUARTER, $y * self::QUARTER];

        return new Path([
            ['M', $x, 0.0],
            ['C', $x, $hy, $hx, $y, 0.0, $y],
            ['C', -$hx, $y, -$x, $hy, -$x, 0.0],
            ['C', -$x, -$hy, -$hx, -$y, 0.0, -$y],
            ['C', $hx, -$y, $x, -$hy, $x, 0.0],
            ['Z'],
        ]);
    }

    /** A regular polygon standing on its flat side or its point as the count has it, drawn into the given box. */
    public static function polygon(int $sides, float $width, float $height): Path
    {
        return self::spokes($sides, fn (int $i): float => 1.0, $width, $height);
    }

    /** @param  float  $waist radius of the inner corners as a share of the outer, above 0 and below 1 */
    public static function star(int $points, float $waist, float $width, float $height): Path
    {
        return self::spokes($points * 2, fn (int $i): float => $i % 2 === 0 ? 1.0 : $waist, $width, $height);
    }

    /** @param  float  $thickness share of the radius, 0 to 1 */
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
