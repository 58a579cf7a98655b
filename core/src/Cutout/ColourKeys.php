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
 * A picture's colours in 65,536 steps, so that a sum over all of its pixels is done once for each colour that it has:
 * 12 million CIEDE2000 differences become some thousands.
 */
final readonly class ColourKeys
{
    /** Levels of a byte to one unit of difference. */
    public const PER_UNIT = 4.0;

    /** @param  list<int>  $present  the keys that the picture has */
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
     * How far each pixel is from the nearest of some colours, by CIEDE2000, PER_UNIT levels to a unit: one band.
     *
     * @param  non-empty-list<Srgb>  $colours
     */
    public function difference(array $colours): Image
    {
        $labs = array_map(fn (Srgb $colour): Lab => $colour->toLab(), $colours);

        return $this->mapped(fn (Lab $lab): int => (int) min(255, round(self::PER_UNIT * min(array_map(fn (Lab $to): float => $lab->difference($to), $labs)))));
    }

    /**
     * The number of the colour that each pixel is nearest to: one band.
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
     * The number of the colour of which each pixel holds most, where it is a mixture of two as along soft edges: the nearest in sRGB, in which
     * pictures are mixed. One band.
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
     * How far each pixel is from each of some colours in sRGB, in 127ths of the most that two of them are apart, and at most 127: one band for each.
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
     * Where the colour is one of some: one band, 255 there.
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

    /** @return list<Srgb> the middle of each step that the picture has */
    public function colours(): array
    {
        return array_map(self::colour(...), $this->present);
    }

    /** @return list<Srgb> the middle of each step that a picture can have */
    public static function everyColour(): array
    {
        return array_map(self::colour(...), range(0, 65535));
    }

    /**
     * How many pixels of a mask have each colour.
     *
     * @return list<array{Srgb, int}>
     */
    public function weighed(Image $mask): array
    {
        $counts = Histogram::ofShorts($mask->chosen($this->keys, $this->keys->linearShort(0.0, 0.0))->settled());
        // What lies without the mask was counted as the first.
        $counts[0] = (int) round($mask->area()) - (int) array_sum(array_slice($counts, 1));
        $weighed = [];
        foreach ($counts as $key => $count) {
            if ($count > 0) {
                $weighed[] = [self::colour($key), $count];
            }
        }

        return $weighed;
    }

    /** How many colours there are. */
    public function count(): int
    {
        return count($this->present);
    }

    /**
     * Several numbers for each colour, as one band each.
     *
     * @param  \Closure(Srgb): list<int>  $values  0 to 255 each, always as many
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

    /** The middle of a step. */
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
