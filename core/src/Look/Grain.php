<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Noise\Bell;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Sampling;

/** Seeded grain, fixed to the sheet and the same at every ppi. */
final class Grain
{
    private const PPI = 300.0;

    /**
     * Four tiles of these sides (pixels at 300 ppi) are summed. Where one tile repeats, the others do not: the least common multiple of any two sides is at
     * least 32 in. So the autocorrelation of the sum stays at about a quarter at every shift on a sheet.
     */
    private const SIDES = [510, 570, 630, 690];

    /** Block sizes, in pixels at 300 ppi, that divide all sides. */
    private const BLOCKS = [1, 2, 3, 5, 6, 10, 15, 30];

    private const KEPT = 24;

    /** @var array<string, array{Image, float}> */
    private static array $tiles = [];

    /**
     * Blobs of about four sigma in size, with a uniform distribution of levels: one 8-bit band of the ink's size.
     *
     * @param  float  $sigma  inches
     */
    public static function over(Image $ink, float $sigma, int $seed, PrintGrid $grid, GrainKind $kind = GrainKind::Rough): Image
    {
        return $grid->field("grain $kind->name $sigma $seed", $ink->width(), $ink->height(), fn (int $width, int $height, array $at): Image => self::field($width, $height, $sigma, $seed, $grid->ppi, $at, $kind));
    }

    /**
     * The same for a window of the sheet.
     *
     * @param  array{int, int}  $at  its corner in pixels
     */
    public static function field(int $width, int $height, float $sigma, int $seed, float $ppi, array $at, GrainKind $kind = GrainKind::Rough): Image
    {
        // Average whole blocks, so that a proof shows the average of the print's grain.
        $coarser = max(array_filter(self::BLOCKS, fn (int $block): bool => $block === 1 || $block * $ppi < self::PPI + 0.5));
        $by = $ppi * $coarser / self::PPI;
        if (abs($by - 1) < 1e-6) {
            return self::blocks($kind, $sigma, $seed, $coarser, $at, $width, $height);
        }
        // For other ppis, interpolate from the next finer grid with whole blocks.
        $from = [(int) floor($at[0] / $by) - 1, (int) floor($at[1] / $by) - 1];
        $grain = self::blocks($kind, $sigma, $seed, $coarser, $from, (int) ceil($width / $by) + 3, (int) ceil($height / $by) + 3);

        return Sampling::regridded($grain->settled(), $by, $from, $at, $width, $height);
    }

    /** @param  array{int, int}  $at */
    private static function blocks(GrainKind $kind, float $sigma, int $seed, int $coarser, array $at, int $width, int $height): Image
    {
        $sum = Image::empty($width, $height, 1);
        $variance = 0.0;
        foreach (self::SIDES as $i => $side) {
            [$tile, $deviation] = self::tile($kind, $side, max(0.4, $sigma * self::PPI), $seed * count(self::SIDES) + $i);
            $sum = $sum->plus($tile->shrunk($coarser)->settled()->tiled(-$at[0], -$at[1], $width, $height));
            $variance += $deviation ** 2;
        }

        return self::levelled($sum, sqrt($variance));
    }

    /** @return array{Image, float} a tile of grain with mean 0, and its standard deviation */
    private static function tile(GrainKind $kind, int $side, float $sigma, int $seed): array
    {
        $key = "$kind->name $side $sigma $seed";
        if (! isset(self::$tiles[$key])) {
            $tile = $kind->tile($side, $sigma, $seed)->linear(1, -127.5)->settled();
            // Keep the latest: a sheet uses few grains at once.
            self::$tiles = [...array_slice(self::$tiles, -self::KEPT + 1, null, true), $key => [$tile, $tile->deviation()]];
        }

        return self::$tiles[$key];
    }

    /** The sum is normally distributed: the normal distribution function makes its levels uniform. */
    private static function levelled(Image $sum, float $deviation): Image
    {
        $table = array_map(fn (int $level): int => (int) round(255 * Bell::below(($level - 127.5) / 32)), range(0, 255));

        return Lookup::bytes($sum->linearByte(32 / $deviation, 127.5), $table);
    }
}
