<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Raster\Blur;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Morphology;

/**
 * Flat-field correction: estimates the uneven light on a photographed ground and divides the picture by it. The background surface is estimated from the
 * picture itself, as for binarisation by Gatos, Pratikakis and Perantonis (Pattern Recognition 39, 2006). The ground is what is smooth and connected to the
 * rim, pale or dark; under the art it is interpolated by normalised convolution (Knutsson and Westin, 1993).
 */
final readonly class FlatField
{
    /** Longer side, in pixels, of the picture in which the light is estimated. */
    private const SIDE = 320;

    /** Pictures whose shorter side has fewer pixels than this are left alone. */
    private const LEAST = 12;

    /** A place is smooth if levels within 5 × 5 pixels differ by no more than this. */
    private const SMOOTH = 7.0;

    /** A noisy ground: a place also counts as smooth if its contrast is at most GRAIN times the quantile QUIET of all contrasts. */
    private const QUIET = 0.25;

    private const GRAIN = 2.0;

    /** Least share of the rim for one smooth region to be ground, and for all of them together. */
    private const PART = 0.06;

    private const RIM = 0.4;

    /** Largest relative difference from the estimated light at which a place still counts as ground. */
    private const OFF = 0.08;

    /** Sigmas of the averaging, in pixels: the widest bridges gaps in the ground, the narrowest is used where the ground has none. */
    private const BELLS = [90.0, 24.0, 7.0];

    /** Weight from which on an average counts in full. */
    private const FULL = 0.25;

    /** Quantile of the light to which everything is brought. */
    private const TARGET = 0.9;

    /** Largest gain. */
    private const MOST_GAIN = 6.0;

    /** Light below this level means a dark ground (our choice). */
    private const DARK = 120.0;

    /** Passes in which places of nearly the estimated light are added to the ground. */
    private const PASSES = 5;

    /** Largest variation of a band's share of all three over a ground of one colour (our choice). */
    private const HUE = 0.06;

    /** @param  Image  $light  three floating point bands, small */
    private function __construct(private Image $light) {}

    /** Null for a picture without a smooth ground along its rim. */
    public static function of(Image $ink): ?self
    {
        $scale = min(1.0, self::SIDE / max($ink->width(), $ink->height()));
        $small = $ink->resized($scale)->settled();
        if (min($small->width(), $small->height()) < self::LEAST) {
            return null;
        }
        // Remove grain before measuring contrast.
        $colours = Blur::exact($small->band(0, 3), 1.0)->linearByte(1.0)->settled();
        $solid = $small->alpha()->isMore(250.0)->settled();
        $steps = Morphology::dilated($colours, 5)->minus(Morphology::eroded($colours, 5));
        $steps = $steps->band(0)->lighter($steps->band(1))->lighter($steps->band(2))->linearByte(1.0)->settled();
        $smooth = $steps->isMore(max(self::SMOOTH, self::GRAIN * self::level($steps, self::QUIET)))->inverted()->both($solid)->settled();
        $ground = self::alongRim($smooth);
        if ($ground === null) {
            return null;
        }
        $light = self::averaged($colours, $ground);
        // Grow the ground by what has nearly the estimated light: into shadows, inside letters and beside them.
        for ($pass = 0; $pass < self::PASSES; $pass++) {
            $off = $colours->linear(1.0)->minus($light)->settled();
            $far = $off->multiplied($off)->minus($light->multiplied($light)->linear(self::OFF ** 2))->isMore(0.0)->settled();
            $near = $far->band(0)->either($far->band(1))->either($far->band(2))->inverted()->both($solid)->settled();
            $ground = Morphology::worn($near)->either($ground)->settled();
            $light = self::averaged($colours, $ground);
        }

        return new self($light);
    }

    /** Smooth regions that cover a substantial part of the rim; null if they cover too little of it. */
    private static function alongRim(Image $smooth): ?Image
    {
        [$numbers] = Morphology::regions($smooth);
        [$width, $height] = [$smooth->width(), $smooth->height()];
        // The rim is two pixels wide: about 4 (w + h) pixels.
        $within = $smooth->crop(2, 2, max(1, $width - 4), max(1, $height - 4))->embed(2, 2, $width, $height);
        $numbers = $numbers->asNumbers()->settled();
        $counted = Histogram::ofMasks([$smooth->both($within->inverted())->settled()], $numbers)[0];
        $all = 4 * ($width + $height);
        $kept = array_keys(array_filter($counted, fn (int|float $count): bool => $count >= self::PART * $all));
        if (array_sum(array_intersect_key($counted, array_flip($kept))) < self::RIM * $all) {
            return null;
        }
        $table = str_repeat("\0", 65536);
        foreach ($kept as $number) {
            $table[$number] = "\xff";
        }

        return Lookup::shortsToBytes($numbers, $table)->both($smooth)->settled();
    }

    /** The local mean of the ground, by the narrowest Gaussian that contains enough of it. */
    private static function averaged(Image $colours, Image $ground): Image
    {
        $weight = $ground->linear(1 / 255)->settled();
        $known = $colours->multiplied($weight)->settled();
        $light = null;
        foreach (self::BELLS as $sigma) {
            // A wide Gaussian leaves no detail: compute it at a reduced size.
            $by = max(1, min(intdiv(min($ground->width(), $ground->height()), 4), (int) floor($sigma / 3)));
            $near = Blur::exact($weight->shrunk($by), $sigma / $by)->settled();
            $mean = Blur::exact($known->shrunk($by), $sigma / $by)->divided($near->linear(1.0, 1e-6))->stretched($ground->width(), $ground->height())->settled();
            $share = $near->linear(1 / self::FULL)->lesser($near->linear(0.0, 1.0))->stretched($ground->width(), $ground->height())->settled();
            $light = $light === null ? $mean : $light->plus($mean->minus($light)->multiplied($share))->settled();
        }

        return $light;
    }

    /** Whether the light has the same hue everywhere, as on paper, in contrast to the sky and grass of a landscape. */
    public function isOfOneColour(): bool
    {
        $sum = $this->light->band(0)->plus($this->light->band(1))->plus($this->light->band(2))->linear(1.0, 1.0)->settled();
        foreach ([0, 1, 2] as $band) {
            [$least, $most] = $this->light->band($band)->divided($sum)->settled()->range();
            if ($most - $least > self::HUE) {
                return false;
            }
        }

        return true;
    }

    /** The picture in even light: divided by the light; on a dark ground, where the light is what air and lens add, minus the light. */
    public function evened(Image $ink, float $amount): Image
    {
        $bytes = $this->light->linearByte(1.0)->settled();
        $levels = fn (float $share): array => array_map(fn (int $band): float => self::level($bytes->band($band), $share), [0, 1, 2]);
        $whole = fn (Image $small): Image => $small->settled()->stretched($ink->width(), $ink->height());
        $evenly = fn (float $share): Image => $this->light->linear(0.0, 1.0)->linearBands($levels($share));
        $colours = $ink->band(0, 3);
        if (max($levels(self::TARGET)) < self::DARK) {
            $even = $colours->linear(1.0)->plus($whole($evenly(0.5)->minus($this->light)->linear($amount)));
        } else {
            $gain = $evenly(self::TARGET)->divided($this->light->lighter($this->light->linear(0.0, 1.0)))->settled();
            $even = $colours->multiplied($whole($gain->lesser($gain->linear(0.0, self::MOST_GAIN))->linear($amount, 1 - $amount)));
        }

        return $even->linearByte(1.0)->asColours()->withBand($ink->alpha());
    }

    /** A quantile of a band's levels. */
    private static function level(Image $band, float $share): float
    {
        $counts = Histogram::of($band);
        [$level, $sum] = [0, 0];
        while ($level < 255 && ($sum += $counts[$level]) < $share * $band->width() * $band->height()) {
            $level++;
        }

        return (float) $level;
    }
}
