<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Waves over the plane. */
final class Grating
{
    /**
     * Two waves at right angles over a turned grid, weighed and added: one floating point band.
     *
     * @param  array{int, int}  $at  what the first pixel counts as
     * @param  float  $perPixel  waves to a pixel
     */
    public static function crossed(int $width, int $height, array $at, float $perPixel, float $angle, float $across, float $down): Image
    {
        [$cos, $sin] = [cos(deg2rad($angle)) * 360 * $perPixel, sin(deg2rad($angle)) * 360 * $perPixel];
        $places = Image::of(Vips::image('xyz', [], [$width, $height]));
        $x = $places->band(0)->linear(1.0, $at[0] + 0.5);
        $y = $places->band(1)->linear(1.0, $at[1] + 0.5);
        // The library's cosine takes degrees.
        $u = $x->linear($cos)->plus($y->linear($sin))->operation('math', [MathOperation::Cosine]);
        $v = $x->linear(-$sin)->plus($y->linear($cos))->operation('math', [MathOperation::Cosine]);

        return $u->linear($across)->plus($v->linear($down));
    }

    /** Round hills on a square grid, as many across as asked: one 8-bit band. */
    public static function hills(int $side, int $count): Image
    {
        $row = '';
        for ($x = 0; $x < $side; $x++) {
            $row .= pack('g', cos(2 * M_PI * $x * $count / $side));
        }
        $across = Image::floats($row, $side, 1, 1)->operation('replicate', [1, $side]);
        $down = $across->operation('rot', [RightAngle::Quarter]);

        return $across->plus($down)->linearByte(255 / 4, 127.5);
    }
}
