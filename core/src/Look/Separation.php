<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Colour\Lab;
use TallCrow\Colour\Srgb;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;

/** Separates a picture into a few solid inks. */
final class Separation
{
    /** Degrees between the screen angles of the inks, to avoid moiré (common practice). */
    private const APART = 30.0;

    /** Spacing, in levels, of the colour grid at which coverages are computed (and interpolated in between). */
    private const STEP = 16;

    private const GRID = 17;

    /** Largest CIEDE2000 difference at which a colour counts as an ink's own. */
    private const SAME = 3.0;

    /** An ink of more relative luminance than this prints the light parts of the picture. */
    private const LIGHT = 0.35;

    /**
     * With one ink, the strength is the picture's darkness (or lightness, for a light ink). With several, coverages follow the model of Neugebauer. Bare cloth
     * counts as light if all inks are dark, and as dark if all inks are light; if there are both, everything is inked.
     *
     * @param  list<Srgb>  $inks
     * @return list<Dotted>
     */
    public static function dots(Image $picture, array $inks, float $lpi, float $angle, Dots $dots, PrintGrid $grid): array
    {
        $alpha = $picture->alpha();
        $dotted = [];
        foreach (self::strengths($picture, $inks) as $i => $strength) {
            $screen = new Screen($lpi, $angle + $i * self::APART, $dots);
            $dotted[] = Dotted::flat($screen->cut($grid->fine($strength->times($alpha)), $grid), $inks[$i]);
        }

        return $dotted;
    }

    /**
     * @param  list<Srgb>  $inks
     * @return list<Image>
     */
    private static function strengths(Image $picture, array $inks): array
    {
        if (count($inks) === 1) {
            $light = ColourBands::luminance(Composition::onCloth($picture, Srgb::of(128, 128, 128)));

            return [$inks[0]->luminance() > self::LIGHT ? $light : $light->inverted()];
        }
        $light = array_filter($inks, fn (Srgb $ink): bool => $ink->luminance() > self::LIGHT);
        $bare = match (count($light)) {
            0 => Srgb::of(255, 255, 255),
            count($inks) => Srgb::of(0, 0, 0),
            default => null,
        };
        $model = new Neugebauer($inks, $bare);
        $labs = array_map(fn (Srgb $ink): Lab => $ink->toLab(), $inks);
        $known = [];

        return ColourKeys::of($picture)->numbers(count($inks), function (Srgb $colour) use ($model, $inks, $labs, &$known): array {
            $lab = $colour->toLab();
            foreach ($labs as $own => $ink) {
                // A colour that is an ink's own gets that ink alone.
                if ($lab->isWithin(self::SAME, $ink)) {
                    return array_map(fn (int $i): int => $i === $own ? 255 : 0, array_keys($inks));
                }
            }
            $shares = array_slice(self::between($model, $colour, $known), 0, count($inks));

            return array_map(fn (float $strength): int => (int) round(255 * $strength), Neugebauer::screened($shares));
        });
    }

    /**
     * Coverages of a colour by trilinear interpolation in the grid. They depend on the colour alone, so that a part of a picture is inked as the whole is.
     *
     * @param  array<string, list<float>>  $known
     * @return list<float>
     */
    private static function between(Neugebauer $model, Srgb $colour, array &$known): array
    {
        $place = fn (int $level): array => [min(self::GRID - 2, intdiv($level, self::STEP)), $level / self::STEP];
        [[$r, $x], [$g, $y], [$b, $z]] = [$place($colour->red), $place($colour->green), $place($colour->blue)];
        [$x, $y, $z] = [min(1.0, $x - $r), min(1.0, $y - $g), min(1.0, $z - $b)];
        $sum = [];
        for ($corner = 0; $corner < 8; $corner++) {
            [$i, $j, $k] = [$corner & 1, $corner >> 1 & 1, $corner >> 2];
            $weight = ($i ? $x : 1 - $x) * ($j ? $y : 1 - $y) * ($k ? $z : 1 - $z);
            foreach ($weight > 0 ? self::point($model, $r + $i, $g + $j, $b + $k, $known) : [] as $n => $share) {
                $sum[$n] = ($sum[$n] ?? 0.0) + $weight * $share;
            }
        }

        return array_values($sum);
    }

    /**
     * Coverages at a grid point. The search starts from the nearest point of the next coarser grid, which has similar coverages.
     *
     * @param  array<string, list<float>>  $known
     * @return list<float>
     */
    private static function point(Neugebauer $model, int $r, int $g, int $b, array &$known): array
    {
        $key = "$r $g $b";
        if (! isset($known[$key])) {
            $odd = $r | $g | $b;
            // Mask of the lowest bit set in any coordinate and the bits below it.
            $fine = 2 * ($odd & -$odd) - 1;
            $before = $odd === 0 ? null : self::point($model, $r & ~$fine, $g & ~$fine, $b & ~$fine, $known);
            $known[$key] = $model->shares(Srgb::of(min(255, $r * self::STEP), min(255, $g * self::STEP), min(255, $b * self::STEP))->toLab(), $before);
        }

        return $known[$key];
    }
}
