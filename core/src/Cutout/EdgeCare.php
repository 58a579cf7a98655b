<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Raster\Blur;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Morphology;

/** Corrections of the edge of a picture that was freed from its background. Lengths are in pixels of the picture. */
final class EdgeCare
{
    private const MOST_REGIONS = 65_000;

    /** Most pixels by which an edge is moved in one step. */
    private const STEP = 4.0;

    /** From this sigma on, colours are extended at a reduced size. */
    private const WIDE = 8.0;

    /**
     * Moves the edge of the ink inwards, or outwards if negative. A blurred straight edge has the level Φ(d ÷ σ) at the distance d,
     * so a threshold there moves the edge by d. Long distances are split into steps, so that the edge stays sharp.
     */
    public static function choked(Image $ink, float $by): Image
    {
        if (abs($by) < 0.05) {
            return $ink;
        }
        $steps = (int) ceil(abs($by) / self::STEP);
        for ($step = 0; $step < $steps; $step++) {
            $ink = self::moved($ink, $by / $steps)->settled();
        }

        return $ink;
    }

    private static function moved(Image $ink, float $by): Image
    {
        $sigma = max(1.0, abs($by));
        $cut = 0.5 * (1 + self::errorFunction($by / $sigma / M_SQRT2));
        $slope = exp(-($by / $sigma) ** 2 / 2) / ($sigma * sqrt(2 * M_PI));
        $moved = Blur::gaussian($ink->alpha(), $sigma, 0.01)->linearByte(1 / $slope, -255 * $cut / $slope + 127.5);

        return $by > 0 ? $ink->withAlpha($moved->lesser($ink->alpha())) : $ink->withAlpha($moved->lighter($ink->alpha()));
    }

    /** Replaces colours along the edge by those further inside, which contain no background. */
    public static function withoutFringe(Image $ink, float $width): Image
    {
        if ($width < 0.3) {
            return $ink;
        }
        $inner = self::choked($ink, $width)->alpha()->isMore(200.0)->settled();
        $sigma = max(1.0, $width);
        // Extend inner colours outwards by normalised convolution (blurred colours ÷ blurred weights), at a reduced size for long distances.
        $by = $sigma < self::WIDE ? 1 : (int) floor($sigma / self::WIDE * 2);
        [$across, $down] = [(int) ceil($ink->width() / $by), (int) ceil($ink->height() / $by)];
        $part = fn (Image $image): Image => $by === 1 ? $image : $image->embed(0, 0, $across * $by, $down * $by)->shrunk($by)->settled();
        $whole = fn (Image $image): Image => $by === 1 ? $image : $image->settled()->enlarged($by)->crop(0, 0, $ink->width(), $ink->height());
        $share = $inner->linear(1 / 255);
        $weight = Blur::gaussian($part($share), $sigma / $by)->settled();
        $known = $whole($weight)->isMore(0.002)->settled();
        $carried = $whole(Blur::gaussian($part($ink->band(0, 3)->multiplied($share)), $sigma / $by)->divided($weight->linear(1, 1e-6)))->linearByte(1.0);
        $colours = $inner->either($known->inverted())->chosen($ink->band(0, 3), $carried)->asColours();

        return $colours->withBand($ink->alpha());
    }

    /**
     * Removes specks of ink and fills pinholes below a size, given as the side of a square of equal area.
     */
    public static function tidied(Image $ink, float $specks, float $pinholes): Image
    {
        $solid = $ink->alpha()->isMore(127.0)->settled();
        [$regions, $count] = Morphology::regions($solid);
        if ($count > self::MOST_REGIONS) {
            // Too many specks to label: remove the finest first.
            $solid = Blur::gaussian($solid, 1.0)->isMore(127.0)->settled();
            [$regions, $count] = Morphology::regions($solid);
        }
        if ($count > self::MOST_REGIONS) {
            return $ink;
        }
        $numbers = $regions->asNumbers()->settled();
        $sizes = Histogram::ofShorts($numbers);
        $small = fn (float $side): string => implode('', array_map(fn (int $many): string => chr($many > 0 && $many < $side * $side ? 255 : 0), array_pad($sizes, 65536, 0)));
        $alpha = $ink->alpha();
        if (str_contains($small($specks), "\xff")) {
            $speck = Lookup::shortsToBytes($numbers, $small($specks))->both($solid)->settled();
            // Remove the soft rim around a speck, too, unless other ink is near.
            $about = Blur::gaussian($speck, 1.2)->isMore(2.0)->both(Blur::gaussian($solid->both($speck->inverted()), 1.2)->isMore(2.0)->inverted());
            $alpha = $speck->either($about)->chosen(Image::empty($ink->width(), $ink->height(), 1), $alpha);
        }
        if (str_contains($small($pinholes), "\xff")) {
            $alpha = Lookup::shortsToBytes($numbers, $small($pinholes))->both($solid->inverted())->chosen(Image::empty($ink->width(), $ink->height(), 1)->inverted(), $alpha);
        }

        return $ink->withAlpha($alpha);
    }

    /** erf(x): Abramowitz and Stegun, Handbook of Mathematical Functions, 7.1.26, error at most 1.5e-7. */
    private static function errorFunction(float $x): float
    {
        $t = 1 / (1 + 0.3275911 * abs($x));
        $sum = $t * (0.254829592 + $t * (-0.284496736 + $t * (1.421413741 + $t * (-1.453152027 + $t * 1.061405429))));

        return ($x <=> 0) * (1 - $sum * exp(-$x * $x));
    }
}
