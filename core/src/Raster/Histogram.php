<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Histograms. */
final class Histogram
{
    /**
     * Pixels with each value of an 8-bit band.
     *
     * @return list<int> 256 counts
     */
    public static function of(Image $image): array
    {
        return array_pad(self::ofShorts($image), 256, 0);
    }

    /**
     * Pixels with each value of a 16-bit band, up to the largest value that occurs.
     *
     * @return list<int>
     */
    public static function ofShorts(Image $image): array
    {
        /** @var list<int> $counts */
        $counts = array_values((array) unpack('V*', $image->operation('hist_find')->operation('cast', [BandFormat::Int])->toBytes()));

        return $counts;
    }

    /**
     * The values that occur in a 16-bit band, in ascending order.
     *
     * @return list<int>
     */
    public static function present(Image $image): array
    {
        $marks = $image->operation('hist_find')->isMore(0.0)->toBytes();
        $values = [];
        for ($at = strpos($marks, "\xff"); $at !== false; $at = strpos($marks, "\xff", $at + 1)) {
            $values[] = $at;
        }

        return $values;
    }

    /**
     * Sums of the samples, grouped by the value of another picture at the same place.
     *
     * @param  Image  $by  one 8-bit band
     * @return list<float> 256 sums
     */
    public static function summedBy(Image $image, Image $by): array
    {
        $sums = Image::of(Vips::image('hist_find_indexed', [$image, $by]))->operation('cast', [BandFormat::Float]);
        /** @var list<float> $found */
        $found = array_values((array) unpack('g*', $sums->toBytes()));

        return array_pad($found, 256, 0.0);
    }

    /**
     * For each of several masks of 0 and 255, the pixels with each number of a 16-bit band, counted in one pass.
     *
     * @param  non-empty-list<Image>  $masks
     * @return list<list<int>> counts by number, for each mask
     */
    public static function ofMasks(array $masks, Image $numbers): array
    {
        $bands = array_reduce(array_slice($masks, 1), fn (Image $all, Image $mask): Image => $all->withBand($mask), $masks[0]);
        $sums = Image::of(Vips::image('hist_find_indexed', [$bands, $numbers]))->operation('cast', [BandFormat::Float]);
        /** @var list<float> $found */
        $found = array_values((array) unpack('g*', $sums->toBytes()));
        $count = count($masks);
        $counts = array_fill(0, $count, []);
        foreach ($found as $i => $sum) {
            $counts[$i % $count][] = (int) round($sum / 255);
        }

        return $counts;
    }
}
