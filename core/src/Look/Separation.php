<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Colour\Lab;
use TallCrow\Colour\Srgb;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\Laid;

/** A picture taken apart into a few solid inks. */
final class Separation
{
    /** Degrees by which the screens of the inks are turned against one another, so that they make no pattern (common practice). */
    private const APART = 30.0;

    /** Levels between the points of colour for which shares are sought; between them they run straight. */
    private const GRID = 17;

    /** So few colours are reckoned one by one. */
    private const FEW = 400;

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
     * @param  array{int, int}  $at
     */
    public static function inks(Image $picture, array $inks, float $lpi, float $angle, Dots $dots, float $ppi, array $at): Image
    {
        $alpha = $picture->alpha();
        $laid = [];
        foreach (self::strengths($picture, $inks) as $i => $strength) {
            $screen = new Screen($lpi, $angle + $i * self::APART, $dots);
            $laid[] = Laid::over(Image::flat($inks[$i], $screen->cut($strength->times($alpha), $ppi, $at))->settled(), 0, 0);
        }

        return Composition::stacked($picture->width(), $picture->height(), $laid);
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
        $known = [];
        $last = null;
        $at = function (int $r, int $g, int $b) use ($model, &$known, &$last): array {
            $key = "$r $g $b";

            // A neighbour's shares are near its own.
            return $known[$key] ??= $last = $model->shares(Srgb::of(min(255, $r * 16), min(255, $g * 16), min(255, $b * 16))->toLab(), $last);
        };

        $keys = ColourKeys::of($picture);
        $few = $keys->count() <= self::FEW;
        $labs = array_map(fn (Srgb $ink): Lab => $ink->toLab(), $inks);

        return $keys->numbers(count($inks), function (Srgb $colour) use ($at, $inks, $labs, $few, $model): array {
            $lab = $colour->toLab();
            foreach ($labs as $own => $ink) {
                // An ink's own colour is that ink alone.
                if ($lab->difference($ink) < self::SAME) {
                    return array_map(fn (int $i): int => $i === $own ? 255 : 0, array_keys($inks));
                }
            }
            $shares = array_slice($few ? $model->shares($lab) : self::between($at, $colour), 0, count($inks));

            return array_map(fn (float $strength): int => (int) round(255 * $strength), Neugebauer::screened($shares));
        });
    }

    /**
     * Shares of a colour between the points of the grid: straight along each of red, green and blue.
     *
     * @param  \Closure(int, int, int): list<float>  $at
     * @return list<float>
     */
    private static function between(\Closure $at, Srgb $colour): array
    {
        $place = fn (int $level): array => [min(self::GRID - 2, intdiv($level, 16)), $level / 16];
        [[$r, $x], [$g, $y], [$b, $z]] = [$place($colour->red), $place($colour->green), $place($colour->blue)];
        [$x, $y, $z] = [min(1.0, $x - $r), min(1.0, $y - $g), min(1.0, $z - $b)];
        $sum = [];
        for ($corner = 0; $corner < 8; $corner++) {
            [$i, $j, $k] = [$corner & 1, $corner >> 1 & 1, $corner >> 2];
            $weight = ($i ? $x : 1 - $x) * ($j ? $y : 1 - $y) * ($k ? $z : 1 - $z);
            foreach ($weight > 0 ? $at($r + $i, $g + $j, $b + $k) : [] as $n => $share) {
                $sum[$n] = ($sum[$n] ?? 0.0) + $weight * $share;
            }
        }

        return array_values($sum);
    }
}
