<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Pictures placed on another grid of pixels, turned, drawn out and looked up where maps say. @internal */
trait Transforms
{
    /** Steps to a level of what is weighed by alpha. */
    private const STEPS = 200.0;

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
        $interpolate = Vips::run('vips_interpolate_new', 'bicubic');
        try {
            return $this->weighed()->operation('affine', [Boxed::doubles($matrix)], [
                'interpolate' => $interpolate,
                'odx' => $shiftX,
                'ody' => $shiftY,
                'oarea' => Boxed::integers([$left, $top, $width, $height]),
                'extend' => Extend::Background,
                'premultiplied' => true,
            ])->freed();
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
        return $this->drawnOut('bilinear', $step, $width, $height, $first, $firstDown ?? $first);
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
