<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Noise\Bell;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Sampling;

/** Seeded grain over a piece that stays where it is on the sheet, the same at every ppi. */
final class Grain
{
    private const PPI = 300.0;

    /**
     * Tiles of these sides, in pixels at 300 ppi, are added up. Where one repeats the others do not, and no two begin together again within 32 in
     * (the least common multiple of their sides), so that on a sheet no shift of the sum is like it by much more than a quarter.
     */
    private const SIDES = [510, 570, 630, 690];

    /** Pixels at 300 ppi, by which every side divides. */
    private const BLOCKS = [1, 2, 3, 5, 6, 10, 15, 30];

    private const KEPT = 24;

    /** @var array<string, array{Image, float}> */
    private static array $tiles = [];

    /**
     * Blobs of about four sigma, every level as common as any other: one 8-bit band as large as the ink.
     *
     * @param  float  $sigma  inches
     */
    public static function over(Image $ink, float $sigma, int $seed, PrintGrid $grid, GrainKind $kind = GrainKind::Rough): Image
    {
        return $grid->field("grain $kind->name $sigma $seed", $ink->width(), $ink->height(), fn (int $width, int $height, array $at): Image => self::field($width, $height, $sigma, $seed, $grid->ppi, $at, $kind));
    }

    /**
     * The same in a window of the sheet.
     *
     * @param  array{int, int}  $at  its corner in pixels
     */
    public static function field(int $width, int $height, float $sigma, int $seed, float $ppi, array $at, GrainKind $kind = GrainKind::Rough): Image
    {
        // Blocks of whole pixels, so that a proof's grain is the print's averaged.
        $coarser = max(array_filter(self::BLOCKS, fn (int $block): bool => $block === 1 || $block * $ppi < self::PPI + 0.5));
        $by = $ppi * $coarser / self::PPI;
        if (abs($by - 1) < 1e-6) {
            return self::blocks($kind, $sigma, $seed, $coarser, $at, $width, $height);
        }
        // On any other grid it lies between the pixels of the next finer that has whole blocks.
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

    /** @return array{Image, float} a tile of grain about 0, and the standard deviation of its samples */
    private static function tile(GrainKind $kind, int $side, float $sigma, int $seed): array
    {
        $key = "$kind->name $side $sigma $seed";
        if (! isset(self::$tiles[$key])) {
            $tile = $kind->tile($side, $sigma, $seed)->linear(1, -127.5)->settled();
            // A sheet has few grains at once.
            self::$tiles = [...array_slice(self::$tiles, -self::KEPT + 1, null, true), $key => [$tile, $tile->deviation()]];
        }

        return self::$tiles[$key];
    }

    /** The sum of many grains is a bell: each level goes where as much of the bell lies below it. */
    private static function levelled(Image $sum, float $deviation): Image
    {
        $table = array_map(fn (int $level): int => (int) round(255 * Bell::below(($level - 127.5) / 32)), range(0, 255));

        return Lookup::bytes($sum->linearByte(32 / $deviation, 127.5), $table);
    }
}
