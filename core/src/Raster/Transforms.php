<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Pictures placed on another grid of pixels, turned, drawn out and looked up where maps say. @internal */
trait Transforms
{
    /** Steps to a level of what is weighed by alpha. */
    private const STEPS = 200.0;

    /** Pixels on either side that the filter sees. */
    private const SEES = 3;

    /** Pixels to a sample up to which means of them are taken sooner than each pixel is placed between four samples. */
    private const FEW_PIXELS = 16;

    /** Weighed by alpha in 16 bits, STEPS to a level. What is looked up out of order lies whole in memory, where floating point would take twice the room. */
    private function weighed(): self
    {
        return $this->premultiplied()->linear(self::STEPS, 0.5)->operation('cast', [BandFormat::Short]);
    }

    /** Straight alpha in 8 bits from what weighed() gave. */
    private function freed(): self
    {
        // All bands in one: what lies upstream would be computed once for the colours and again for the alpha.
        return $this->operation('unpremultiply', [], ['max-alpha' => 255.0 * self::STEPS])->linearByte(1 / self::STEPS);
    }

    /**
     * Places the picture on a pixel grid by (a b; c d) and the shift of its origin, and cuts out the given box.
     *
     * @param  array{float, float, float, float}  $matrix  row by row
     */
    public function affine(array $matrix, float $shiftX, float $shiftY, int $left, int $top, int $width, int $height): self
    {
        return $this->weighed()->placed($matrix, $shiftX, $shiftY, [$left, $top, $width, $height], Extend::Background)->freed();
    }

    /**
     * The same of a picture that is opaque everywhere, and sooner: its colours need no weights, and unless it is turned the alpha is reckoned at its edge alone.
     *
     * @param  array{float, float, float, float}  $matrix  row by row
     */
    public function affineOpaque(array $matrix, float $shiftX, float $shiftY, int $left, int $top, int $width, int $height): self
    {
        $box = [$left, $top, $width, $height];
        $colours = $this->band(0, 3)->placed($matrix, $shiftX, $shiftY, $box, Extend::Copy);
        // In two bytes, so that what the filter shoots over the edge is cut off alike on either side.
        $alpha = self::empty($this->width(), $this->height(), 1)->linearShort(1.0, 255.0 * self::STEPS)
            ->placed($matrix, $shiftX, $shiftY, $box, Extend::Background)->linearByte(1 / self::STEPS);
        if ($matrix[1] !== 0.0 || $matrix[2] !== 0.0) {
            return $colours->withBand($alpha);
        }
        [$across, $down] = [self::within($this->width(), $matrix[0], $shiftX, $left, $width), self::within($this->height(), $matrix[3], $shiftY, $top, $height)];
        if ($across === null || $down === null) {
            return $colours->withBand($alpha);
        }
        $inside = self::empty($across[1], $down[1], 1)->inverted()->embed($across[0], $down[0], $width, $height);

        return $colours->withBand($inside->chosen($inside, $alpha));
    }

    /**
     * Where a window begins, and how far it goes, to see pixels of a picture that lie so far from its edge that the filter does not see over it.
     *
     * @return ?array{int, int}
     */
    private static function within(int $length, float $by, float $shift, int $from, int $seen): ?array
    {
        $ends = [self::SEES * $by + $shift - $from, ($length - 1 - self::SEES) * $by + $shift - $from];
        [$first, $last] = [max(0, (int) ceil(min($ends))), min($seen - 1, (int) floor(max($ends)))];

        return $length > 2 * self::SEES && $last >= $first ? [$first, $last - $first + 1] : null;
    }

    /**
     * @param  array{float, float, float, float}  $matrix  row by row
     * @param  array{int, int, int, int}  $box
     * @param  Extend  $beyond  what lies about the picture
     */
    private function placed(array $matrix, float $shiftX, float $shiftY, array $box, Extend $beyond): self
    {
        $interpolate = Vips::run('vips_interpolate_new', 'bicubic');
        try {
            return $this->operation('affine', [Boxed::doubles($matrix)], [
                'interpolate' => $interpolate,
                'odx' => $shiftX,
                'ody' => $shiftY,
                'oarea' => Boxed::integers($box),
                'extend' => $beyond,
                'premultiplied' => true,
            ]);
        } finally {
            Vips::run('g_object_unref', $interpolate);
        }
    }

    /**
     * One band turned by degrees clockwise about a point, and what lies about that cut out, the point in the middle.
     *
     * @param  array{float, float}  $about  counted from the edges of the first pixel
     * @param  bool  $mixed  between pixels, or each the nearest as it is
     */
    public function turnedInto(float $degrees, array $about, int $width, int $height, bool $mixed = true): self
    {
        $interpolate = Vips::run('vips_interpolate_new', $mixed ? 'bilinear' : 'nearest');
        [$cos, $sin] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];
        // The library counts from the middle of the first pixel; to take the nearest it cuts off what is behind the point.
        $half = $mixed ? 0.5 : 0.0;
        [$x, $y] = [$about[0] - $half, $about[1] - $half];
        try {
            return $this->operation('affine', [Boxed::doubles([$cos, -$sin, $sin, $cos])], [
                'interpolate' => $interpolate,
                'odx' => ($width - 1) / 2 - ($x * $cos - $y * $sin),
                'ody' => ($height - 1) / 2 - ($x * $sin + $y * $cos),
                'oarea' => Boxed::integers([0, 0, $width, $height]),
            ]);
        } finally {
            Vips::run('g_object_unref', $interpolate);
        }
    }

    /** A coarse grid of samples drawn out to single pixels, straight in between; the first sample is the first pixel, or as many pixels in (and down) as given. */
    public function interpolated(int $step, int $width, int $height, float $first = 0.0, ?float $firstDown = null): self
    {
        $firstDown ??= $first;
        if ($this->isShort() || $step > self::FEW_PIXELS || ! self::liesOnGrid($step, $first) || ! self::liesOnGrid($step, $firstDown)) {
            return $this->drawnOut('bilinear', $step, $width, $height, $first, $firstDown);
        }
        $drawn = $this->drawnOutAlong(true, $step, $height, $firstDown)->drawnOutAlong(false, $step, $width, $first);

        return $this->isByte() ? $drawn->linearByte(1.0) : $drawn;
    }

    /** Whether the pixels are those of the picture zoomed by so many to a sample, or lie half way between them, and its first sample is near the first of them. */
    private static function liesOnGrid(int $step, float $first): bool
    {
        return abs($first) <= $step && fmod($step % 2 === 0 ? 2 * $first : $first, 1.0) === 0.0;
    }

    /**
     * One way, in floating point: each sample is so many pixels, and the mean of as many about each pixel goes straight from sample to sample.
     *
     * @param  int  $length  pixels
     * @param  float  $first  pixels to the middle of the first sample, on the grid
     */
    private function drawnOutAlong(bool $isDown, int $step, int $length, float $first): self
    {
        $middle = ($step - 1) / 2 - $first;
        $isBetween = fmod($middle, 1.0) !== 0.0;
        // About a pixel lie an odd number: of an even one, one more, of which the ends count half.
        $step = max(1, $step);
        $weights = array_fill(0, $step, 1.0 / $step);
        if ($step % 2 === 0 && ! $isBetween) {
            $weights = [0.5 / $step, ...array_slice($weights, 1), 0.5 / $step];
        }
        // The mean of an even number is taken half a pixel before the one that it is written to.
        $from = (int) floor($middle + ($isBetween ? 0.5 : 0.0));
        $zoomed = $isDown ? $this->zoomed(1, $step) : $this->zoomed($step, 1);
        $beyond = [$step - $from, $length + 2 * $step];
        $wide = $isDown
            ? $zoomed->operation('embed', [0, $beyond[0], $zoomed->width(), $beyond[1]], ['extend' => Extend::Copy])
            : $zoomed->operation('embed', [$beyond[0], 0, $beyond[1], $zoomed->height()], ['extend' => Extend::Copy]);
        $mean = $wide->operation('conv', [self::of(Vips::matrix($isDown ? array_map(fn (float $weight): array => [$weight], $weights) : [$weights]))], ['precision' => Precision::Float]);

        return $isDown ? $mean->crop(0, $step, $zoomed->width(), $length) : $mean->crop($step, 0, $length, $zoomed->height());
    }

    /** The same by a cubic spline through the samples (Catmull and Rom), which looks a sample further on either side. */
    public function interpolatedSmoothly(int $step, int $width, int $height, float $first): self
    {
        return $this->drawnOut('bicubic', $step, $width, $height, $first, $first);
    }

    private function drawnOut(string $how, int $step, int $width, int $height, float $first, float $firstDown): self
    {
        $interpolate = Vips::run('vips_interpolate_new', $how);
        try {
            return $this->operation('affine', [Boxed::doubles([(float) $step, 0.0, 0.0, (float) $step])], [
                'interpolate' => $interpolate,
                'odx' => $first,
                'ody' => $firstDown,
                'oarea' => Boxed::integers([0, 0, $width, $height]),
                'extend' => Extend::Copy,
                // Bands are numbers: of four the library would take the last for an alpha, and weigh the others by it.
                'premultiplied' => true,
            ]);
        } finally {
            Vips::run('g_object_unref', $interpolate);
        }
    }

    /**
     * A picture as large as the maps, each of its pixels the mean of those to which the two bands of each map point; clear beyond the edge.
     *
     * @param  non-empty-list<self>  $maps
     */
    public function drawnFrom(array $maps): self
    {
        return $this->lookedUp()($maps);
    }

    /**
     * Draws from maps, as drawnFrom does, again and again, and from the picture shrunk by a power of two if told so.
     *
     * @param  int  $left  where the maps count from, in pixels left of the first and above it
     * @param  int  $edge  clear pixels about the picture. Where maps lead no further beyond than these, no pixels are copied to look them up
     * @return \Closure(non-empty-list<self>, int=, int=): self
     */
    public function lookedUp(int $left = 0, int $top = 0, int $edge = 2): \Closure
    {
        $looks = $this->weighed()->looksAt($left, $top, $edge, Extend::Black);

        return function (array $maps, int $across = 1, int $down = 1) use ($looks): self {
            /** @var non-empty-list<self> $maps */
            return $looks($maps, $across, $down)->freed();
        };
    }

    /**
     * The same of a picture that is opaque everywhere, and sooner: its colours need no weights, and the alpha is looked up where its edge may be seen.
     *
     * @param  self  $inside  as large as the maps, 255 where they lead nowhere near the edge
     * @return \Closure(non-empty-list<self>, int=, int=): self
     */
    public function lookedUpOpaque(self $inside, int $left = 0, int $top = 0, int $edge = 2): \Closure
    {
        $colours = $this->band(0, 3)->looksAt($left, $top, $edge, Extend::Copy);
        // In two bytes, so that what one look shoots over the edge evens out what another lacks.
        $alpha = self::empty($this->width(), $this->height(), 1)->linearShort(1.0, 255.0 * self::STEPS)->looksAt($left, $top, $edge, Extend::Black);

        return function (array $maps, int $across = 1, int $down = 1) use ($inside, $colours, $alpha): self {
            /** @var non-empty-list<self> $maps */
            $edge = $alpha($maps, $across, $down)->linearByte(1 / self::STEPS);

            return $colours($maps, $across, $down)->linearByte(1.0)->withBand($inside->chosen($inside, $edge));
        };
    }

    /**
     * Draws the mean of what the maps point to, as it is.
     *
     * @param  Extend  $beyond  what lies about the picture
     * @return \Closure(non-empty-list<self>, int, int): self
     */
    private function looksAt(int $left, int $top, int $edge, Extend $beyond): \Closure
    {
        // Of a picture that is shrunk, the edge and all of it are whole pixels.
        $far = fn (int $length): int => $edge === 2 ? $length + 4 : intdiv($length + 3 * $edge - 1, $edge) * $edge;
        $wide = $this->operation('embed', [$edge, $edge, $far($this->width()), $far($this->height())], ['extend' => $beyond])->settled();
        $shrunk = [];

        return /** @param  non-empty-list<self>  $maps */ function (array $maps, int $across, int $down) use ($wide, $left, $top, $edge, &$shrunk): self {
            $from = $across === 1 && $down === 1 ? $wide : $shrunk["$across $down"] ??= $wide->operation('shrink', [(float) $across, (float) $down])->settled();
            $on = fn (self $map, float $x, float $y, float $plusX, float $plusY): self => $map->operation('linear', [Boxed::doubles([$x, $y]), Boxed::doubles([$plusX, $plusY])]);
            $interpolate = Vips::run('vips_interpolate_new', 'bicubic');
            try {
                $look = function (self $map) use ($from, $wide, $on, $across, $down, $left, $top, $edge, $interpolate): self {
                    // The whole pixels last, see BentGrid::BEFORE.
                    $map = $from === $wide ? $map : $on($map, 1 / $across, 1 / $down, 0.5 / $across - 0.5, 0.5 / $down - 0.5);
                    $map = $on($map, 1.0, 1.0, ($edge - $left) / $across, ($edge - $top) / $down);

                    return $from->operation('mapim', [$map], ['interpolate' => $interpolate, 'premultiplied' => true, 'extend' => Extend::Copy]);
                };
                $looks = array_values(array_map($look, $maps));

                return count($looks) === 1 ? $looks[0] : self::of(Vips::image('sum', [Boxed::images($looks)]))->linear(1 / count($looks));
            } finally {
                Vips::run('g_object_unref', $interpolate);
            }
        };
    }
}
