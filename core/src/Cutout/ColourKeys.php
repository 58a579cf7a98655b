<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Colour\Lab;
use TallCrow\Colour\Srgb;
use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/**
 * A picture's colours quantised to 65,536 keys, so that a function of colour is computed once for each key instead of each pixel:
 * 12 million CIEDE2000 differences become some thousands.
 */
final readonly class ColourKeys
{
    /** Levels per unit of colour difference. */
    public const PER_UNIT = 4.0;

    /** @param  list<int>  $present  keys that occur in the picture */
    private function __construct(
        private Image $keys,
        private array $present,
    ) {}

    public static function of(Image $ink): self
    {
        $keys = ColourBands::keyed($ink)->settled();

        return new self($keys, Histogram::present($keys));
    }

    /**
     * CIEDE2000 difference of each pixel to the nearest of some colours, PER_UNIT levels per unit: one band.
     *
     * @param  non-empty-list<Srgb>  $colours
     */
    public function difference(array $colours): Image
    {
        $labs = array_map(fn (Srgb $colour): Lab => $colour->toLab(), $colours);

        return $this->mapped(fn (Lab $lab): int => (int) min(255, round(self::PER_UNIT * min(array_map(fn (Lab $to): float => $lab->difference($to), $labs)))));
    }

    /**
     * Index of the nearest colour in Lab for each pixel: one band.
     *
     * @param  non-empty-list<Srgb>  $colours
     */
    public function nearest(array $colours): Image
    {
        $labs = array_map(fn (Srgb $colour): Lab => $colour->toLab(), $colours);

        return $this->mapped(function (Lab $lab) use ($labs): int {
            $far = array_map(fn (Lab $to): float => ($lab->l - $to->l) ** 2 + ($lab->a - $to->a) ** 2 + ($lab->b - $to->b) ** 2, $labs);

            return (int) array_search(min($far), $far, true);
        });
    }

    /**
     * Index of the nearest colour in sRGB for each pixel: one band. Along soft edges this is the colour that dominates the mixture, since edges are mixed in
     * sRGB.
     *
     * @param  non-empty-list<Srgb>  $colours
     */
    public function mostOf(array $colours): Image
    {
        return $this->numbers(1, function (Srgb $of) use ($colours): array {
            $far = array_map(fn (Srgb $to): int => ($of->red - $to->red) ** 2 + ($of->green - $to->green) ** 2 + ($of->blue - $to->blue) ** 2, $colours);

            return [(int) array_search(min($far), $far, true)];
        })[0];
    }

    /**
     * Distance of each pixel to each of some colours in sRGB, scaled so that the largest distance between two of them is 127, and clamped to 127: one band
     * for each colour.
     *
     * @param  non-empty-list<Srgb>  $colours
     * @return list<Image>
     */
    public function apart(array $colours): array
    {
        $far = fn (Srgb $one, Srgb $other): float => sqrt(($one->red - $other->red) ** 2 + ($one->green - $other->green) ** 2 + ($one->blue - $other->blue) ** 2);
        $most = max(1.0, ...array_map(fn (Srgb $one): float => max(array_map(fn (Srgb $other): float => $far($one, $other), $colours)), $colours));

        return $this->numbers(count($colours), fn (Srgb $of): array => array_map(fn (Srgb $to): int => (int) min(127, round(127 * $far($of, $to) / $most)), $colours));
    }

    /**
     * A mask of pixels whose colour satisfies a predicate.
     *
     * @param  \Closure(Srgb, Lab): bool  $isOne
     */
    public function chosen(\Closure $isOne): Image
    {
        $table = str_repeat("\0", 65536);
        foreach ($this->present as $key) {
            if ($isOne(self::colour($key), self::lab($key))) {
                $table[$key] = "\xff";
            }
        }

        return Lookup::shortsToBytes($this->keys, $table);
    }

    /** @return list<Srgb> the centre colour of each key in the picture */
    public function colours(): array
    {
        return array_map(self::colour(...), $this->present);
    }

    /** @return list<Srgb> the centre colour of every possible key */
    public static function everyColour(): array
    {
        return array_map(self::colour(...), range(0, 65535));
    }

    /**
     * Pixel counts by colour within a mask.
     *
     * @return list<array{Srgb, int}>
     */
    public function weighed(Image $mask): array
    {
        $counts = Histogram::ofShorts($mask->chosen($this->keys, $this->keys->linearShort(0.0, 0.0))->settled());
        // Pixels outside the mask were counted under key 0.
        $counts[0] = (int) round($mask->area()) - (int) array_sum(array_slice($counts, 1));
        $weighed = [];
        foreach ($counts as $key => $count) {
            if ($count > 0) {
                $weighed[] = [self::colour($key), $count];
            }
        }

        return $weighed;
    }

    /** Number of different keys in the picture. */
    public function count(): int
    {
        return count($this->present);
    }

    /**
     * Several numbers for each colour, each as a band.
     *
     * @param  \Closure(Srgb): list<int>  $values  $count numbers from 0 to 255
     * @return list<Image>
     */
    public function numbers(int $count, \Closure $values): array
    {
        $found = [];
        foreach ($this->present as $key) {
            $found[$key] = $values(self::colour($key));
        }
        $bands = [];
        for ($i = 0; $i < $count; $i++) {
            $table = str_repeat("\0", 65536);
            foreach ($found as $key => $numbers) {
                $table[$key] = chr($numbers[$i]);
            }
            $bands[] = Lookup::shortsToBytes($this->keys, $table);
        }

        return $bands;
    }

    private static function lab(int $key): Lab
    {
        static $known = [];

        return $known[$key] ??= self::colour($key)->toLab();
    }

    /** The centre colour of a key. */
    private static function colour(int $key): Srgb
    {
        static $known = [];

        return $known[$key] ??= Srgb::of(min(255, ($key >> 11 << 3) + 4), min(255, (($key >> 5 & 63) << 2) + 2), min(255, (($key & 31) << 3) + 4));
    }

    /** @param  \Closure(Lab): int  $value 0 to 255 */
    private function mapped(\Closure $value): Image
    {
        $table = str_repeat("\0", 65536);
        foreach ($this->present as $key) {
            $table[$key] = chr($value(self::lab($key)));
        }

        return Lookup::shortsToBytes($this->keys, $table);
    }
}
