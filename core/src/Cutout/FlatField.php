<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Raster\Blur;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;
use TallCrow\Raster\Morphology;

/**
 * The light in which a ground was photographed, and the picture divided by it (flat-field correction): the surface of a page estimated from the page
 * itself, as for binarisation by Gatos, Pratikakis and Perantonis (Pattern Recognition 39, 2006). The ground is what is smooth and joined to the rim,
 * so it may be pale or dark; art that lies on it is looked over by normalised convolution (Knutsson and Westin, 1993).
 */
final readonly class FlatField
{
    /** Pixels of the longer side as the light is looked for. */
    private const SIDE = 320;

    /** Pixels of the shorter side below which there is no ground to speak of. */
    private const LEAST = 12;

    /** Levels between the lightest and the darkest of five pixels each way up to which a place is smooth. */
    private const SMOOTH = 7.0;

    /** The quieter part of a picture is its ground: a place is smooth, too, when it steps no more than so many times what that part does. */
    private const QUIET = 0.25;

    private const GRAIN = 2.0;

    /** Share of the rim that one smooth region must have to be ground, and that all of them must have together. */
    private const PART = 0.06;

    private const RIM = 0.4;

    /** How far, as a share of the light there, a place may be off it and be ground all the same. */
    private const OFF = 0.08;

    /** Standard deviations in pixels: as far as a ground without any gap is averaged, and as far as gaps in it are looked over. */
    private const BELLS = [90.0, 24.0, 7.0];

    /** Weight of a bell from which on it counts in full. */
    private const FULL = 0.25;

    /** Share of the light that is weaker than what all of it is brought to. */
    private const TARGET = 0.9;

    /** As many times lighter a place is made at most. */
    private const MOST_GAIN = 6.0;

    /** Level of the light below which the ground is dark (our choice). */
    private const DARK = 120.0;

    /** How often what has nearly the light so far is added to the ground. */
    private const PASSES = 5;

    /** How far a band's share of all three may differ over a ground of one colour (our choice). */
    private const HUE = 0.06;

    /** @param  Image  $light  three bands of floating point, in few pixels */
    private function __construct(private Image $light) {}

    /** Null for a picture that has no smooth ground along its rim. */
    public static function of(Image $ink): ?self
    {
        $scale = min(1.0, self::SIDE / max($ink->width(), $ink->height()));
        $small = $ink->resized($scale)->settled();
        if (min($small->width(), $small->height()) < self::LEAST) {
            return null;
        }
        // Grain is no step.
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
        // Again and again with all that has nearly that light: from what is known into shadows, within letters, beside them.
        for ($pass = 0; $pass < self::PASSES; $pass++) {
            $off = $colours->linear(1.0)->minus($light)->settled();
            $far = $off->multiplied($off)->minus($light->multiplied($light)->linear(self::OFF ** 2))->isMore(0.0)->settled();
            $near = $far->band(0)->either($far->band(1))->either($far->band(2))->inverted()->both($solid)->settled();
            $ground = Morphology::worn($near)->either($ground)->settled();
            $light = self::averaged($colours, $ground);
        }

        return new self($light);
    }

    /** Regions that take a part of the rim worth naming; null where they are too little of it. */
    private static function alongRim(Image $smooth): ?Image
    {
        [$numbers] = Morphology::regions($smooth);
        [$width, $height] = [$smooth->width(), $smooth->height()];
        // Two pixels wide, so about 4 (w + h) of them.
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

    /** The mean of the ground about each place, by the narrowest bell that holds enough of it. */
    private static function averaged(Image $colours, Image $ground): Image
    {
        $weight = $ground->linear(1 / 255)->settled();
        $known = $colours->multiplied($weight)->settled();
        $light = null;
        foreach (self::BELLS as $sigma) {
            // A broad bell leaves nothing fine.
            $by = max(1, min(intdiv(min($ground->width(), $ground->height()), 4), (int) floor($sigma / 3)));
            $near = Blur::exact($weight->shrunk($by), $sigma / $by)->settled();
            $mean = Blur::exact($known->shrunk($by), $sigma / $by)->divided($near->linear(1.0, 1e-6))->stretched($ground->width(), $ground->height())->settled();
            $share = $near->linear(1 / self::FULL)->lesser($near->linear(0.0, 1.0))->stretched($ground->width(), $ground->height())->settled();
            $light = $light === null ? $mean : $light->plus($mean->minus($light)->multiplied($share))->settled();
        }

        return $light;
    }

    /** Whether the light keeps its hue all over, as on paper; a landscape's sky and grass do not. */
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

    /** The picture as it would look in even light: divided by it, or on a dark ground, where it is what air and lens add, less it. */
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

    /** The least level that a share of a band's pixels does not exceed. */
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
