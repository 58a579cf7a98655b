<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Geometric transforms: affine maps, interpolation of coarse grids, and lookup by coordinate maps. @internal */
trait Transforms
{
    /** 16-bit steps per 8-bit level in premultiplied pictures. */
    private const STEPS = 200.0;

    /** Pixels on either side that the bicubic filter may read. */
    private const SEES = 3;

    /** Up to this factor, repeating samples and averaging is quicker than the library's interpolation. */
    private const FEW_PIXELS = 16;

    /**
     * Premultiplied in 16 bits, STEPS to a level. Pictures that are read out of order lie in memory as a whole, and floating point would take twice the room.
     */
    private function weighed(): self
    {
        return $this->premultiplied()->linear(self::STEPS, 0.5)->operation('cast', [BandFormat::Short]);
    }

    /** Straight 8-bit alpha from the form of weighed(). */
    private function freed(): self
    {
        // All bands in one operation: otherwise the input would be computed once for the colours and again for the alpha.
        return $this->operation('unpremultiply', [], ['max-alpha' => 255.0 * self::STEPS])->linearByte(1 / self::STEPS);
    }

    /**
     * Maps the picture to a pixel grid by the matrix (a b; c d) and a translation, and crops the given box. Bicubic.
     *
     * @param  array{float, float, float, float}  $matrix  row by row
     */
    public function affine(array $matrix, float $shiftX, float $shiftY, int $left, int $top, int $width, int $height): self
    {
        return $this->weighed()->placed($matrix, $shiftX, $shiftY, [$left, $top, $width, $height], Extend::Background)->freed();
    }

    /**
     * The same for a picture that is opaque everywhere, in half the time: its colours need no weights, and without rotation the alpha is only computed near
     * its edge.
     *
     * @param  array{float, float, float, float}  $matrix  row by row
     */
    public function affineOpaque(array $matrix, float $shiftX, float $shiftY, int $left, int $top, int $width, int $height): self
    {
        $box = [$left, $top, $width, $height];
        $colours = $this->band(0, 3)->placed($matrix, $shiftX, $shiftY, $box, Extend::Copy);
        // In 16 bits with headroom, so that the filter's overshoot is clipped at the end only.
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
     * Start and length of the stretch of a window in which the filter reads only pixels within the picture; null if there is none.
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
     * @param  Extend  $beyond  the value of pixels beyond the picture
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
     * One band rotated clockwise about a point, cropped to a window with that point at its centre.
     *
     * @param  array{float, float}  $about  x and y of the point; 0, 0 is the outer corner of the first pixel
     * @param  bool  $mixed  whether to interpolate between pixels instead of taking the nearest
     * @param  float  $larger  factor by which it is enlarged besides
     */
    public function turnedInto(float $degrees, array $about, int $width, int $height, bool $mixed = true, float $larger = 1.0): self
    {
        $interpolate = Vips::run('vips_interpolate_new', $mixed ? 'bilinear' : 'nearest');
        [$cos, $sin] = [$larger * cos(deg2rad($degrees)), $larger * sin(deg2rad($degrees))];
        // The library's coordinates start at the centre of the first pixel; its nearest neighbour truncates instead of rounding.
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

    /**
     * Interpolates a coarse grid of samples to single pixels, bilinearly, with a whole number of pixels between samples. The first sample lies at the centre of
     * the first pixel, or at the given offset in pixels.
     */
    public function interpolated(int $step, int $width, int $height, float $first = 0.0, ?float $firstDown = null): self
    {
        $firstDown ??= $first;
        if ($this->isShort() || $step > self::FEW_PIXELS || ! self::liesOnGrid($step, $first) || ! self::liesOnGrid($step, $firstDown)) {
            return $this->drawnOut('bilinear', $step, $width, $height, $first, $firstDown);
        }
        $drawn = $this->drawnOutAlong(true, $step, $height, $firstDown)->drawnOutAlong(false, $step, $width, $first);

        return $this->isByte() ? $drawn->linearByte(1.0) : $drawn;
    }

    /** Whether the pixels coincide with those of the zoomed picture, or lie exactly half way between them, and the offset is small. */
    private static function liesOnGrid(int $step, float $first): bool
    {
        return abs($first) <= $step && fmod($step % 2 === 0 ? 2 * $first : $first, 1.0) === 0.0;
    }

    /**
     * Linear interpolation along one axis, in floating point: repeating each sample n times and taking the mean of n neighbours is the same as interpolating.
     *
     * @param  int  $length  pixels
     * @param  float  $first  offset of the first sample's centre from the first pixel's, in pixels
     */
    private function drawnOutAlong(bool $isDown, int $step, int $length, float $first): self
    {
        $middle = ($step - 1) / 2 - $first;
        $isBetween = fmod($middle, 1.0) !== 0.0;
        // An even mean has no centre pixel: take one more, and count both ends half.
        $step = max(1, $step);
        $weights = array_fill(0, $step, 1.0 / $step);
        if ($step % 2 === 0 && ! $isBetween) {
            $weights = [0.5 / $step, ...array_slice($weights, 1), 0.5 / $step];
        }
        // The library's even mean lies half a pixel before the pixel that it is written to.
        $from = (int) floor($middle + ($isBetween ? 0.5 : 0.0));
        $zoomed = $isDown ? $this->zoomed(1, $step) : $this->zoomed($step, 1);
        $beyond = [$step - $from, $length + 2 * $step];
        $wide = $isDown
            ? $zoomed->operation('embed', [0, $beyond[0], $zoomed->width(), $beyond[1]], ['extend' => Extend::Copy])
            : $zoomed->operation('embed', [$beyond[0], 0, $beyond[1], $zoomed->height()], ['extend' => Extend::Copy]);
        $mean = $wide->operation('conv', [self::of(Vips::matrix($isDown ? array_map(fn (float $weight): array => [$weight], $weights) : [$weights]))], ['precision' => Precision::Float]);

        return $isDown ? $mean->crop(0, $step, $zoomed->width(), $length) : $mean->crop($step, 0, $length, $zoomed->height());
    }

    /** The same by a Catmull-Rom spline, which reads one more sample on either side. */
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
                // Bands are plain numbers here. Of four, the library would take the last for an alpha and weight the others by it.
                'premultiplied' => true,
            ]);
        } finally {
            Vips::run('g_object_unref', $interpolate);
        }
    }

    /** Looks pixels up by a coordinate map of two bands: x and y in this picture. The result has the map's size and is clear beyond the picture's edge. */
    public function drawnFrom(self $map): self
    {
        return $this->lookedUp()([$map]);
    }

    /**
     * Prepares the picture for repeated lookups. The function returned takes maps, over which the mean is taken; how many pixels of a map, across and down, are
     * averaged into one pixel of the result (supersampling either way); and the width and height of the blocks, powers of two, by which the picture is
     * box-filtered before it is sampled.
     *
     * @param  int  $left  offset of the map's coordinates
     * @param  int  $edge  clear pixels to add around the picture, as far as the map leads beyond it: this avoids copies during lookup
     * @return \Closure(non-empty-list<self>, int=, int=, int=, int=): self
     */
    public function lookedUp(int $left = 0, int $top = 0, int $edge = 2): \Closure
    {
        $looks = $this->weighed()->looksAt($left, $top, $edge, Extend::Black);

        return function (array $maps, int $across = 1, int $down = 1, int $wide = 1, int $high = 1) use ($looks): self {
            /** @var non-empty-list<self> $maps */
            return $looks($maps, $across, $down, $wide, $high)->freed();
        };
    }

    /**
     * The same for a picture that is opaque everywhere, but quicker: its colours need no weights, and the alpha is only looked up where its edge may show.
     *
     * @param  self  $inside  mask of the result's size: 255 where the map leads nowhere near the picture's edge
     * @return \Closure(non-empty-list<self>, int=, int=, int=, int=): self
     */
    public function lookedUpOpaque(self $inside, int $left = 0, int $top = 0, int $edge = 2): \Closure
    {
        $colours = $this->band(0, 3)->looksAt($left, $top, $edge, Extend::Copy);
        // In 16 bits with headroom, so that the overshoot of one sample compensates the undershoot of another.
        $alpha = self::empty($this->width(), $this->height(), 1)->linearShort(1.0, 255.0 * self::STEPS)->looksAt($left, $top, $edge, Extend::Black);

        return function (array $maps, int $across = 1, int $down = 1, int $wide = 1, int $high = 1) use ($inside, $colours, $alpha): self {
            /** @var non-empty-list<self> $maps */
            $edge = $alpha($maps, $across, $down, $wide, $high)->linearByte(1 / self::STEPS);

            return $colours($maps, $across, $down, $wide, $high)->linearByte(1.0)->withBand($inside->chosen($inside, $edge));
        };
    }

    /**
     * The mean of the bands that the maps point to, without weights.
     *
     * @param  Extend  $beyond  the value of pixels beyond the picture
     * @return \Closure(non-empty-list<self>, int, int, int, int): self
     */
    private function looksAt(int $left, int $top, int $edge, Extend $beyond): \Closure
    {
        // If the picture will be box-filtered, both the added edge and the whole must be multiples of the blocks.
        $far = fn (int $length): int => $edge === 2 ? $length + 4 : intdiv($length + 3 * $edge - 1, $edge) * $edge;
        $whole = $this->operation('embed', [$edge, $edge, $far($this->width()), $far($this->height())], ['extend' => $beyond]);
        $filtered = [];

        return /** @param  non-empty-list<self>  $maps */ function (array $maps, int $across, int $down, int $wide, int $high) use ($whole, $left, $top, $edge, &$filtered): self {
            $isFiltered = $wide > 1 || $high > 1;
            $from = $filtered["$wide $high"] ??= ($isFiltered ? $whole->operation('shrink', [(float) $wide, (float) $high]) : $whole)->settled();
            $on = fn (self $map, float $x, float $y, float $plusX, float $plusY): self => $map->operation('linear', [Boxed::doubles([$x, $y]), Boxed::doubles([$plusX, $plusY])]);
            $interpolate = Vips::run('vips_interpolate_new', 'bicubic');
            try {
                $look = function (self $map) use ($from, $on, $isFiltered, $across, $down, $wide, $high, $left, $top, $edge, $interpolate): self {
                    // Add whole pixels last, see BentGrid::BEFORE.
                    $map = $isFiltered ? $on($map, 1 / $wide, 1 / $high, 0.5 / $wide - 0.5, 0.5 / $high - 0.5) : $map;
                    $map = $on($map, 1.0, 1.0, ($edge - $left) / $wide, ($edge - $top) / $high);
                    $looked = $from->operation('mapim', [$map], ['interpolate' => $interpolate, 'premultiplied' => true, 'extend' => Extend::Copy]);

                    return $across === 1 && $down === 1 ? $looked : $looked->operation('shrink', [(float) $across, (float) $down]);
                };
                $looks = array_values(array_map($look, $maps));

                return count($looks) === 1 ? $looks[0] : self::of(Vips::image('sum', [Boxed::images($looks)]))->linear(1 / count($looks));
            } finally {
                Vips::run('g_object_unref', $interpolate);
            }
        };
    }
}
