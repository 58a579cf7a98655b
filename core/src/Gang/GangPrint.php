<?php

declare(strict_types=1);

namespace TallCrow\Gang;

use TallCrow\Colour\Srgb;
use TallCrow\Measure\Ppi;
use TallCrow\Raster\Image;

/** Draws the sheets of film: every copy in its place, with crop marks if wanted. */
final class GangPrint
{
    /** Length and width of a crop mark in inches; it stays within the gap. */
    private const MARK = [0.1, 0.01];

    /**
     * @param  list<Image>  $pictures  one per piece, not rotated, at the given ppi
     * @param  bool  $marks  whether to draw crop marks at the corners of each copy, if the gap has room for them
     * @return list<Image> one for each sheet
     */
    public static function sheets(Layout $layout, array $pictures, Ppi $ppi, bool $marks): array
    {
        $sheets = array_map(fn (float $length): Image => Image::empty((int) round($layout->film->width * $ppi->value), (int) round($length * $ppi->value)), $layout->lengths);
        foreach ($layout->laid as $one) {
            $picture = $one->turned ? $pictures[$one->piece]->quarterTurned() : $pictures[$one->piece];
            [$left, $top] = [(int) round($one->left * $ppi->value), (int) round($one->top * $ppi->value)];
            $sheets[$one->sheet] = $sheets[$one->sheet]->insert($picture, $left, $top);
            if ($marks) {
                $sheets[$one->sheet] = self::marked($sheets[$one->sheet], $left, $top, $picture->width(), $picture->height(), $layout->film->gap * $ppi->value, $ppi);
            }
        }

        return array_values($sheets);
    }

    /** Draws two crop marks outside each corner of a copy. */
    private static function marked(Image $sheet, int $left, int $top, int $width, int $height, float $gap, Ppi $ppi): Image
    {
        $wide = max(1, (int) round(self::MARK[1] * $ppi->value));
        $long = (int) min(round(self::MARK[0] * $ppi->value), floor($gap / 2) - 1);
        if ($long <= $wide) {
            return $sheet;
        }
        foreach ([[$left, -1], [$left + $width - $wide, -1], [$left, 1], [$left + $width - $wide, 1]] as [$x, $side]) {
            $sheet = self::tick($sheet, $x, $side < 0 ? $top - $long : $top + $height, $wide, $long);
        }
        foreach ([[$top, -1], [$top + $height - $wide, -1], [$top, 1], [$top + $height - $wide, 1]] as [$y, $side]) {
            $sheet = self::tick($sheet, $side < 0 ? $left - $long : $left + $width, $y, $long, $wide);
        }

        return $sheet;
    }

    private static function tick(Image $sheet, int $left, int $top, int $width, int $height): Image
    {
        if ($left < 0 || $top < 0 || $left + $width > $sheet->width() || $top + $height > $sheet->height()) {
            return $sheet;
        }

        return $sheet->insert(Image::flat(Srgb::of(0, 0, 0), Image::empty($width, $height, 1)->inverted()), $left, $top);
    }
}
