<?php

declare(strict_types=1);

namespace TallCrow\Noise;

use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/**
 * Makes a wider field without visible repeats from a tile: three layers of square patches, each cropped from the tile at
 * a random place, are blended at the patches' borders.
 *
 * Levels are first mapped to a normal distribution, blended with weights that keep its variance, and mapped back, so that
 * contrast is the same everywhere (E. Heitz, F. Neyret, "High-Performance By-Example Noise using a Histogram-Preserving
 * Blending Operator", 2018).
 */
final class Patchwork
{
    /** Side of a patch in pixels: 5 in at 300 ppi. */
    public const PATCH = 1500;

    /** Patches across 20 in at scale 1. */
    private const ACROSS = 4;

    private const MOST = 6;

    private const LAYERS = 3;

    /** Steepness of the blend between layers; the rest of a patch is the plain field. */
    private const SUDDEN = 5.0;

    /** Patches are cropped at multiples of this many pixels, so that a weave or a screen continues across their borders. */
    private const STEP = 60;

    /** Range of the normal distribution that is represented, in standard deviations each way. */
    private const DEVIATIONS = 4.5;

    /** Patches across that a field needs to fill 20 in at a given scale. */
    public static function across(float $scale): int
    {
        return max(1, min(self::MOST, (int) ceil(self::ACROSS / max(0.1, $scale) - 0.01)));
    }

    /**
     * @param  Image  $field  one 8-bit band, square, its side a whole number of STEP
     * @return Image of so many patches a side, which tiles as well
     */
    public static function wide(Image $field, int $seed, int $across = self::ACROSS): Image
    {
        $levels = Histogram::of($field);

        return Lookup::shortsToBytes(self::blended($field, $levels, $seed, $across), self::back($levels))->settled();
    }

    /**
     * The same for a 16-bit field, but with a uniform distribution of levels in the result.
     *
     * @param  Image  $field  one 16-bit band, square, its side a whole number of STEP
     */
    public static function even(Image $field, int $seed, int $across = self::ACROSS): Image
    {
        $levels = array_pad(Histogram::ofShorts($field), 65536, 0);
        $even = pack('v*', ...array_map(fn (float $share): int => (int) round(65535 * $share), self::shares()));

        return self::blended($field, $levels, $seed, $across)->operation('maplut', [Image::shorts($even, 65536)])->settled();
    }

    /**
     * @param  list<int>  $levels  histogram of the field
     * @return Image in 65,536 steps of a normal distribution
     */
    private static function blended(Image $field, array $levels, int $seed, int $across): Image
    {
        $side = $across * self::PATCH;
        $bell = $field->operation('maplut', [Image::floats(pack('g*', ...self::deviations($levels)), count($levels), 1, 1)])->settled();
        $weights = self::weights();
        $sum = null;
        for ($layer = 0; $layer < self::LAYERS; $layer++) {
            $shift = $layer * intdiv(self::PATCH, self::LAYERS);
            $weight = $weights->tiled($shift, $shift, $side, $side);
            $part = self::patches($bell, $seed * self::LAYERS + $layer, $across)->tiled($shift, $shift, $side, $side)->multiplied($weight);
            $sum = $sum === null ? $part : $sum->plus($part);
        }

        return $sum->linearShort(65535 / 2 / self::DEVIATIONS, 32767.5);
    }

    /** A patch does not depend on their number, so that a change of scale changes little. */
    private static function patches(Image $bell, int $seed, int $across): Image
    {
        $steps = intdiv($bell->width(), self::STEP);
        $patches = Image::empty($across * self::PATCH, $across * self::PATCH, 1)->linear(1.0);
        for ($row = 0; $row < $across; $row++) {
            for ($column = 0; $column < $across; $column++) {
                $random = new \Random\Randomizer(new \Random\Engine\Mt19937(($seed * self::MOST + $row) * self::MOST + $column));
                [$x, $y] = [self::STEP * $random->getInt(0, $steps - 1), self::STEP * $random->getInt(0, $steps - 1)];
                $patches = $patches->insert($bell->tiled(-$x, -$y, self::PATCH, self::PATCH), $column * self::PATCH, $row * self::PATCH);
            }
        }

        return $patches;
    }

    /** The weights of a layer over one of its patches: the squared weights of the three layers add up to 1 everywhere. */
    private static function weights(): Image
    {
        static $weights = null;

        return $weights ??= self::weighed();
    }

    private static function weighed(): Image
    {
        $row = '';
        for ($x = 0; $x < self::PATCH; $x++) {
            $row .= pack('g', sin(M_PI * ($x + 0.5) / self::PATCH) ** self::SUDDEN);
        }
        $across = Image::floats($row, self::PATCH, 1, 1)->zoomed(1, self::PATCH);
        $one = $across->multiplied(Image::floats($row, 1, self::PATCH, 1)->zoomed(self::PATCH, 1))->settled();
        $squares = null;
        for ($layer = 0; $layer < self::LAYERS; $layer++) {
            $shift = $layer * intdiv(self::PATCH, self::LAYERS);
            $shifted = $one->tiled($shift, $shift, self::PATCH, self::PATCH);
            $square = $shifted->multiplied($shifted);
            $squares = $squares === null ? $square : $squares->plus($square);
        }

        return $one->divided($squares->raised(0.5))->settled();
    }

    /**
     * The normal quantile of each level, in standard deviations.
     *
     * @param  list<int>  $levels  histogram
     * @return list<float>
     */
    private static function deviations(array $levels): array
    {
        $total = max(1, array_sum($levels));
        $below = 0;
        $places = [];
        foreach ($levels as $count) {
            $places[] = max(-self::DEVIATIONS, min(self::DEVIATIONS, Bell::deviations(($below + $count / 2) / $total)));
            $below += $count;
        }

        return $places;
    }

    /** @return list<float> the normal distribution function at each of 65,536 steps */
    private static function shares(): array
    {
        /** @var list<float> $shares */
        static $shares = [];

        return $shares = $shares === [] ? array_map(fn (int $i): float => Bell::below(($i - 32767.5) / 32767.5 * self::DEVIATIONS), range(0, 65535)) : $shares;
    }

    /**
     * The inverse: the field level for each of 65,536 steps, by equal share of pixels below.
     *
     * @param  list<int>  $levels
     */
    private static function back(array $levels): string
    {
        $total = max(1, array_sum($levels));
        $table = '';
        $level = 0;
        $below = $levels[0];
        foreach (self::shares() as $share) {
            while ($level < 255 && $below < $share * $total) {
                $below += $levels[++$level];
            }
            $table .= chr($level);
        }

        return $table;
    }
}
