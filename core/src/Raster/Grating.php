<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Periodic waves over the plane. */
final class Grating
{
    /**
     * A weighted sum of two waves at right angles on a rotated grid: one floating point band.
     *
     * @param  array{int, int}  $at  coordinates of the first pixel
     * @param  float  $perPixel  periods per pixel
     */
    public static function crossed(int $width, int $height, array $at, float $perPixel, float $angle, float $across, float $down): Image
    {
        [$cos, $sin] = [cos(deg2rad($angle)) * 2 * M_PI * $perPixel, sin(deg2rad($angle)) * 2 * M_PI * $perPixel];
        // By the addition theorem cos(x + y) = cos x cos y − sin x sin y, so only one row and one column of cosines are computed.
        $along = fn (int $count, int $from, float $step, bool $isSine, float $by = 1.0): string => pack('g*', ...array_map(
            fn (int $i): float => $by * ($isSine ? sin(($from + $i + 0.5) * $step) : cos(($from + $i + 0.5) * $step)), range(0, $count - 1),
        ));
        $product = function (float $alongX, float $alongY, bool $isSine, float $by) use ($along, $width, $height, $at): Image {
            $row = Image::floats($along($width, $at[0], $alongX, $isSine, $by), $width, 1, 1);

            return $row->zoomed(1, $height)->multiplied(Image::floats($along($height, $at[1], $alongY, $isSine), 1, $height, 1)->zoomed($width, 1));
        };

        return $product($cos, $sin, false, $across)->plus($product($cos, $sin, true, -$across))->plus($product(-$sin, $cos, false, $down))->plus($product(-$sin, $cos, true, -$down));
    }

    /** Round hills on a square grid, $count of them across: one 8-bit band. */
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
