<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Shapes in masks: eroded, dilated, flooded, told apart. */
final class Morphology
{
    /** Pixels: the most that a square of neighbours counts must go into a byte. */
    public const MOST_SIDE = 15;

    /** Numbers that can be told apart when neighbours are counted. */
    public const MOST_NUMBERS = 32;

    /** Pixels about a place that tell whether it is an edge, as crisp() asks. */
    public const RIM = 2;

    /** Levels that count as none, or as all. */
    private const NONE = 8.0;

    /** Radius of an octagon, a pixel at a time: by a square, which reaches its corners, or by a cross. The sides of the whole of it are equally far from the middle to 1 %. */
    private const STEPS = ['square', 'cross', 'cross', 'square', 'cross'];

    /** Bands that are counted in one pass at most. */
    private const AT_ONCE = 4;

    /**
     * A mask without haze: where it runs so slowly that a ramp is wider than an edge, it is all or nothing. What is half-transparent within its
     * square of neighbours, as they are, prints as haze.
     *
     * @param  Image  $mask  one band, settled; what lies within RIM of its own rim needs what lies beyond
     */
    public static function crisp(Image $mask): Image
    {
        $partial = Lookup::bytes($mask, array_map(fn (int $level): int => $level > self::NONE && $level < 255 - self::NONE ? 255 : 0, range(0, 255)))->settled();

        return self::opened($partial, 3)->chosen($mask->isMore(127.0), $mask);
    }

    /** Each pixel becomes the least of its square of neighbours. */
    public static function eroded(Image $image, int $side = 3): Image
    {
        return self::ranked($image, $side, 0);
    }

    /** Each pixel becomes the largest of its square of neighbours. */
    public static function dilated(Image $image, int $side = 3): Image
    {
        return self::ranked($image, $side, $side - 1);
    }

    private static function ranked(Image $image, int $side, int $which): Image
    {
        [$width, $height, $about] = [$image->width(), $image->height(), intdiv($side, 2)];
        // libvips takes no window that is larger than the picture.
        $room = $width < $side || $height < $side ? $image->spread($about, $about, $width + 2 * $about, $height + 2 * $about) : $image;
        $ranked = $room->operation('rank', [$side, 1, $which])->operation('rank', [1, $side, $which]);

        return $room === $image ? $ranked : $ranked->crop($about, $about, $width, $height);
    }

    /** Of a mask of 0 and 255, what a square of that side fits into at every place: as eroded(), and many times quicker. */
    public static function worn(Image $mask, int $side = 3): Image
    {
        return self::swept($mask, $side, 0);
    }

    /** Of a mask of 0 and 255, what a square of that side touches: as dilated(), and many times quicker. */
    public static function grown(Image $mask, int $side = 3): Image
    {
        return self::swept($mask, $side, 1);
    }

    /** What of a mask a square of that side can paint from within (Serra, 1982). */
    public static function opened(Image $mask, int $side): Image
    {
        return self::grown(self::worn($mask, $side), $side);
    }

    /**
     * What of a mask a regular octagon can paint from within: nearly a disc (Serra, 1982).
     *
     * @param  int  $radius  from the middle to its sides beside the middle pixel, 1 to 5
     */
    public static function openedRound(Image $mask, int $radius): Image
    {
        $neighbours = [
            'square' => Image::of(Vips::matrix(array_fill(0, 3, [255.0, 255.0, 255.0]))),
            // 128 is a pixel that may be either.
            'cross' => Image::of(Vips::matrix([[128.0, 255.0, 128.0], [255.0, 255.0, 255.0], [128.0, 255.0, 128.0]])),
        ];
        foreach ([0, 1] as $how) {
            foreach (array_slice(self::STEPS, 0, $radius) as $step) {
                $mask = $mask->operation('morph', [$neighbours[$step], $how])->settled();
            }
        }

        return $mask;
    }

    /** Pixels of a mask of 0 and 255 with at most so many others of it among their eight neighbours. */
    public static function lone(Image $mask, int $others): Image
    {
        $count = $mask->linearByte(1 / 255)->operation('convsep', [Image::of(Vips::matrix([[1.0, 1.0, 1.0]]))], ['precision' => Precision::Integer]);

        return $mask->both($count->isLess($others + 1.5));
    }

    /** Along rows, then along columns: a square is both. */
    private static function swept(Image $mask, int $side, int $how): Image
    {
        $side = max(1, $side);
        $row = Image::of(Vips::matrix([array_fill(0, $side, 255.0)]));
        $column = Image::of(Vips::matrix(array_fill(0, $side, [255.0])));

        return $mask->operation('morph', [$row, $how])->operation('morph', [$column, $how]);
    }

    /**
     * Each pixel becomes the most common one of its square of neighbours; the lowest where several are as common.
     *
     * @param  Image  $image  one 8-bit band of numbers from 0, settled
     * @param  int  $side  odd, up to MOST_SIDE
     * @param  int  $count  how many numbers there are, up to MOST_NUMBERS
     */
    public static function commonest(Image $image, int $side, int $count): Image
    {
        $ones = Image::of(Vips::matrix([array_fill(0, max(1, $side), 1.0)]));
        $groups = [];
        $passes = max(1, (int) ceil($count / self::AT_ONCE));
        $atOnce = max(1, (int) ceil($count / $passes));
        foreach (range(0, $passes - 1) as $group) {
            $numbers = range($group * $atOnce, ($group + 1) * $atOnce - 1);
            $isOne = Lookup::split($image, array_map(fn (int $number): array => array_map(fn (int $value): int => $value === $number ? 1 : 0, range(0, 255)), $numbers));
            // How many there are, and in the lowest bits whose they are: the greatest of these tells both.
            $ranks = array_map(fn (int $number): array => array_map(fn (int $many): int => $many * self::MOST_NUMBERS + self::MOST_NUMBERS - 1 - $number, range(0, 255)), $numbers);
            $groups[] = Lookup::bandsToShorts($isOne->operation('convsep', [$ones], ['precision' => Precision::Integer]), $ranks);
        }
        $most = self::greatest($groups);
        $most = self::greatest(array_map(fn (int $band): Image => $most->band($band), range(0, $atOnce - 1)));
        $whose = implode('', array_map(fn (int $rank): string => chr(self::MOST_NUMBERS - 1 - $rank % self::MOST_NUMBERS), range(0, 65535)));

        return Lookup::shortsToBytes($most, $whose);
    }

    /** @param  non-empty-list<Image>  $images */
    private static function greatest(array $images): Image
    {
        return count($images) === 1 ? $images[0] : Image::of(Vips::image('bandrank', [Boxed::images($images)], [], ['index' => count($images) - 1]));
    }

    /** Every pixel of the value at the corner that is joined to it takes another value. */
    public static function flooded(Image $image, float $value): Image
    {
        // What is in memory already would be settled as it is, and drawn into.
        $copy = $image->operation('copy')->settled();
        Vips::operate('draw_flood', [$copy, Boxed::doubles([$value]), 0, 0], ['equal' => true]);

        return $copy;
    }

    /**
     * Regions of one value, each with a number of its own from 1 on, and how many there are.
     *
     * @return array{Image, int}
     */
    public static function regions(Image $image): array
    {
        $mask = Vips::library()->new('VipsImage *');
        assert($mask instanceof \FFI\CData);
        $count = Vips::library()->new('int');
        assert($count instanceof \FFI\CData);
        Vips::operate('labelregions', [$image, \FFI::addr($mask)], ['segments' => \FFI::addr($count)]);

        // What it tells as its segments is one more than the last number.
        return [Image::of($mask)->settled(), $count->cdata - 1];
    }
}
