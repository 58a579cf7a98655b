<?php

declare(strict_types=1);

namespace TallCrow\Measure;

/** The sums of resolution: ppi = pixels ÷ printed inches. */
final class Resolution
{
    /**
     * What a print house reports for a file placed at a printed width.
     *
     * @throws UnusableMeasure
     */
    public static function effective(int $sourcePixels, Length $placed): float
    {
        if ($sourcePixels < 1) {
            throw UnusableMeasure::size('The picture');
        }
        if ($placed->inches <= 0) {
            throw UnusableMeasure::size('The placed width');
        }

        return $sourcePixels / $placed->inches;
    }

    /** The widest that a picture may be printed and still hold $least. */
    public static function widest(int $sourcePixels, Ppi $least): Length
    {
        return Length::inches($sourcePixels / $least->value);
    }
}
