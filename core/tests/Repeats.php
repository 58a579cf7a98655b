<?php

declare(strict_types=1);

namespace TallCrow\Tests;

use TallCrow\Raster\BandFormat;
use TallCrow\Raster\Image;
use TallCrow\Raster\Vips;

/** Whether a picture is seen again within itself. */
final class Repeats
{
    /**
     * The greatest autocorrelation at any shift longer than some pixels at which a quarter of the picture or more still lies over itself, from the
     * power spectrum (Wiener and Khinchin), each shift weighed by its overlap.
     *
     * @return array{float, float, float} correlation, and the shift in pixels
     */
    public static function strongest(Image $band, float $least): array
    {
        [$width, $height] = [$band->width(), $band->height()];
        $about = self::spectrumBack($band->linear(1, -$band->mean())->settled());
        $best = [-1.0, 0.0, 0.0];
        // A shift and its opposite are one.
        for ($y = 0; $y < $height; $y++) {
            for ($x = 1 - $width; $x < $width; $x++) {
                $overlap = ($width - abs($x)) * ($height - $y) / ($width * $height);
                if ($overlap < 0.25 || $x * $x + $y * $y < $least * $least) {
                    continue;
                }
                $alike = $about[$y * 2 * $width + ($x < 0 ? $x + 2 * $width : $x)] / $overlap;
                if ($alike > $best[0]) {
                    $best = [$alike, (float) $x, (float) $y];
                }
            }
        }
        $best[0] /= $about[0];

        return $best;
    }

    /** @return list<float> */
    private static function spectrumBack(Image $image): array
    {
        $spectrum = $image->embed(0, 0, 2 * $image->width(), 2 * $image->height())->operation('fwfft')->settled();
        $real = $spectrum->operation('complexget', [0]);
        $imaginary = $spectrum->operation('complexget', [1]);
        $power = $real->multiplied($real)->plus($imaginary->multiplied($imaginary))->settled();
        $back = Image::of(Vips::image('complexform', [$power, $power->linear(0, 0)]))->operation('invfft', [], ['real' => true]);

        return array_values((array) unpack('g*', $back->operation('cast', [BandFormat::Float])->toBytes()));
    }
}
