<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Mathematical morphology on masks: erosion, dilation, opening, flood fill, labelling. */
final class Morphology
{
    /** Largest side of a square whose pixel count fits into a byte. */
    public const MOST_SIDE = 15;

    /** Most different numbers in commonest(). */
    public const MOST_NUMBERS = 32;

    /** Pixels around a place that crisp() looks at. */
    public const RIM = 2;

    /** Levels up to this count as 0, and within this of 255 as 255. */
    private const NONE = 8.0;

    /**
     * Structuring elements that build an octagon, one pixel of radius at a time: a square grows the diagonals, a cross does not. In this order all sides of
     * the octagon are equally far from its centre to 1 %.
     */
    private const STEPS = ['square', 'cross', 'cross', 'square', 'cross'];

    /** Most bands counted in one pass. */
    private const AT_ONCE = 4;

    /**
     * Removes haze from a mask: only what lies between full and empty pixels, as an antialiased edge does, stays half-transparent. Wider ramps, and marks and
     * gaps thinner than a pixel, are thresholded at half.
     *
     * @param  Image  $mask  one band, settled. Pixels closer than RIM to its border depend on pixels beyond it.
     */
    public static function crisp(Image $mask): Image
    {
        $row = Image::of(Vips::matrix([[1.0, 1.0, 1.0, 1.0, 1.0]]));
        $column = Image::of(Vips::matrix([[1.0], [1.0], [1.0], [1.0], [1.0]]));
        $counted = fn (Image $image, Image $kernel): Image => $image->operation('conv', [$kernel], ['precision' => Precision::Integer]);
        // Full pixels of a row are counted by ones and empty ones by eights, of which a byte holds five each.
        $ends = Lookup::bytes($mask, array_map(fn (int $level): int => $level >= 255 - self::NONE ? 1 : ($level <= self::NONE ? 8 : 0), range(0, 255)));
        $inRow = Lookup::bytes($counted($ends, $row), array_map(fn (int $count): int => ($count % 8 > 0 ? 1 : 0) + ($count >= 8 ? 8 : 0), range(0, 255)));
        $isEdge = Lookup::bytes($counted($inRow, $column), array_map(fn (int $count): int => $count % 8 > 0 && $count >= 8 ? 255 : 0, range(0, 255)));

        return $isEdge->chosen($mask, $mask->isMore(127.0));
    }

    /**
     * Removes wide ramps from a mask: a pixel that lies in a 3 × 3 square of half-transparent pixels is thresholded at half.
     *
     * @param  Image  $mask  one band, settled. Pixels closer than RIM to its border depend on pixels beyond it.
     */
    public static function withoutRamps(Image $mask): Image
    {
        $partial = Lookup::bytes($mask, array_map(fn (int $level): int => $level > self::NONE && $level < 255 - self::NONE ? 255 : 0, range(0, 255)))->settled();

        return self::opened($partial, 3)->chosen($mask->isMore(127.0), $mask);
    }

    /** Grey erosion: each pixel becomes the minimum of its square of neighbours. */
    public static function eroded(Image $image, int $side = 3): Image
    {
        return self::ranked($image, $side, 0);
    }

    /** Grey dilation: each pixel becomes the maximum of its square of neighbours. */
    public static function dilated(Image $image, int $side = 3): Image
    {
        return self::ranked($image, $side, $side - 1);
    }

    private static function ranked(Image $image, int $side, int $which): Image
    {
        [$width, $height, $about] = [$image->width(), $image->height(), intdiv($side, 2)];
        // libvips rejects a window that is larger than the picture.
        $room = $width < $side || $height < $side ? $image->spread($about, $about, $width + 2 * $about, $height + 2 * $about) : $image;
        $ranked = $room->operation('rank', [$side, 1, $which])->operation('rank', [1, $side, $which]);

        return $room === $image ? $ranked : $ranked->crop($about, $about, $width, $height);
    }

    /** Binary erosion of a mask of 0 and 255 by a square: like eroded(), but many times quicker. */
    public static function worn(Image $mask, int $side = 3): Image
    {
        return self::swept($mask, $side, 0);
    }

    /** Binary dilation of a mask of 0 and 255 by a square: like dilated(), but many times quicker. */
    public static function grown(Image $mask, int $side = 3): Image
    {
        return self::swept($mask, $side, 1);
    }

    /** Opening by a square: the part of a mask that the square can cover from within (Serra, 1982). */
    public static function opened(Image $mask, int $side): Image
    {
        return self::grown(self::worn($mask, $side), $side);
    }

    /**
     * Opening by a regular octagon, which is nearly a disc (Serra, 1982).
     *
     * @param  int  $radius  pixels from the centre pixel to a side, 1 to 5
     */
    public static function openedRound(Image $mask, int $radius): Image
    {
        $neighbours = [
            'square' => Image::of(Vips::matrix(array_fill(0, 3, [255.0, 255.0, 255.0]))),
            // 128 matches either value.
            'cross' => Image::of(Vips::matrix([[128.0, 255.0, 128.0], [255.0, 255.0, 255.0], [128.0, 255.0, 128.0]])),
        ];
        foreach ([0, 1] as $how) {
            foreach (array_slice(self::STEPS, 0, $radius) as $step) {
                $mask = $mask->operation('morph', [$neighbours[$step], $how])->settled();
            }
        }

        return $mask;
    }

    /** Pixels of a mask of 0 and 255 that have at most so many set pixels among their eight neighbours. */
    public static function lone(Image $mask, int $others): Image
    {
        $count = $mask->linearByte(1 / 255)->operation('convsep', [Image::of(Vips::matrix([[1.0, 1.0, 1.0]]))], ['precision' => Precision::Integer]);

        return $mask->both($count->isLess($others + 1.5));
    }

    /** Separable: a square is a row followed by a column. */
    private static function swept(Image $mask, int $side, int $how): Image
    {
        $side = max(1, $side);
        $row = Image::of(Vips::matrix([array_fill(0, $side, 255.0)]));
        $column = Image::of(Vips::matrix(array_fill(0, $side, [255.0])));

        return $mask->operation('morph', [$row, $how])->operation('morph', [$column, $how]);
    }

    /**
     * Mode filter: each pixel becomes the most common value of its square of neighbours, the lowest one in a tie.
     *
     * @param  Image  $image  one 8-bit band of small numbers from 0, settled
     * @param  int  $side  odd, up to MOST_SIDE
     * @param  int  $count  number of different values, up to MOST_NUMBERS
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
            // Rank = count × MOST_NUMBERS + (MOST_NUMBERS − 1 − number): the maximum yields both the highest count and its number.
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

    /** Flood fill from the first pixel: the connected area of its value takes another value. */
    public static function flooded(Image $image, float $value): Image
    {
        // settled() does not copy a picture that is in memory already, and this would draw into it.
        $copy = $image->operation('copy')->settled();
        Vips::operate('draw_flood', [$copy, Boxed::doubles([$value]), 0, 0], ['equal' => true]);

        return $copy;
    }

    /**
     * Labels connected regions of equal value with numbers from 1 on; also returns how many there are.
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

        // "segments" is one more than the last number.
        return [Image::of($mask)->settled(), $count->cdata - 1];
    }
}
