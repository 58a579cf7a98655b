<?php

declare(strict_types=1);

namespace TallCrow\Measure;

/** Resolution: ppi = pixels ÷ printed inches. */
final class Resolution
{
    /**
     * The effective ppi of a picture at a printed width, as a print house reports it.
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

    /** The greatest printed width at which a picture still has the least ppi. */
    public static function widest(int $sourcePixels, Ppi $least): Length
    {
        return Length::inches($sourcePixels / $least->value);
    }
}
