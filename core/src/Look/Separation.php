<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Colour\Lab;
use TallCrow\Colour\Srgb;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;

/** A picture taken apart into a few solid inks. */
final class Separation
{
    /** Degrees by which the screens of the inks are turned against one another, so that they make no pattern (common practice). */
    private const APART = 30.0;

    /** Levels between the points of colour for which shares are sought, and as many points each way; between them they run straight. */
    private const STEP = 16;

    private const GRID = 17;

    /** CIEDE2000 within which a colour is an ink's own. */
    private const SAME = 3.0;

    /** An ink lighter than this prints what is light. */
    private const LIGHT = 0.35;

    /**
     * With one ink, its strength is how dark the picture is (how light, for a light ink). With more, areas are those whose light comes nearest to
     * the picture's: see Neugebauer. What is left bare counts as light cloth where all inks are dark, and as dark cloth where all are light;
     * where there are both, all is inked.
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
                // An ink's own colour is that ink alone.
                if ($lab->difference($ink) < self::SAME) {
                    return array_map(fn (int $i): int => $i === $own ? 255 : 0, array_keys($inks));
                }
            }
            $shares = array_slice(self::between($model, $colour, $known), 0, count($inks));

            return array_map(fn (float $strength): int => (int) round(255 * $strength), Neugebauer::screened($shares));
        });
    }

    /**
     * Shares of a colour between the points of the grid: straight along each of red, green and blue. They hang on the colour alone, so that a part of
     * a picture is inked as the whole is.
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
     * Shares at a point of the grid, sought from those of the point before it in a grid half as fine: they are much alike.
     *
     * @param  array<string, list<float>>  $known
     * @return list<float>
     */
    private static function point(Neugebauer $model, int $r, int $g, int $b, array &$known): array
    {
        $key = "$r $g $b";
        if (! isset($known[$key])) {
            $odd = $r | $g | $b;
            // The lowest bit that any of them has set, and those below it.
            $fine = 2 * ($odd & -$odd) - 1;
            $before = $odd === 0 ? null : self::point($model, $r & ~$fine, $g & ~$fine, $b & ~$fine, $known);
            $known[$key] = $model->shares(Srgb::of(min(255, $r * self::STEP), min(255, $g * self::STEP), min(255, $b * self::STEP))->toLab(), $before);
        }

        return $known[$key];
    }
}
