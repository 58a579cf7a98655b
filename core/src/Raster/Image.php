<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use FFI;
use FFI\CData;

/**
 * A picture, never changed once made: every method answers a new one, computed when its pixels are asked for.
 * Ink is 8-bit sRGB with straight alpha (4 bands); masks are one 8-bit band, 0 none to 255 all.
 */
final class Image
{
    use ImageArithmetic;
    use ImageLevels;
    use ImageMaking;

    /** VipsKernel: a tent, which never overshoots. */
    private const LINEAR = 1;

    private function __construct(private readonly CData $handle) {}

    public function __destruct()
    {
        Vips::run('g_object_unref', $this->handle);
    }

    /** @internal */
    public function handle(): CData
    {
        return $this->handle;
    }

    public function width(): int
    {
        return self::int(Vips::run('vips_image_get_width', $this->handle));
    }

    public function height(): int
    {
        return self::int(Vips::run('vips_image_get_height', $this->handle));
    }

    public function bands(): int
    {
        return self::int(Vips::run('vips_image_get_bands', $this->handle));
    }

    /** How many pictures the file holds that this one came from. */
    public function pages(): int
    {
        $out = Vips::library()->new('int[1]');
        assert($out instanceof CData);
        if (Vips::run('vips_image_get_typeof', $this->handle, 'n-pages') === 0) {
            return 1;
        }
        Vips::run('vips_image_get_int', $this->handle, 'n-pages', $out);

        return max(1, self::int($out[0]));
    }

    public function alpha(): self
    {
        return $this->band($this->bands() - 1);
    }

    public function band(int $index, int $count = 1): self
    {
        return $this->made('extract_band', [$index], ['n' => $count]);
    }

    public function withBand(self $band): self
    {
        return self::wrap(Vips::image('bandjoin', [Boxed::images([$this, $band])]));
    }

    /** The same colours under another alpha. */
    public function withAlpha(self $alpha): self
    {
        return $this->band(0, $this->bands() - 1)->withBand($alpha);
    }

    public function crop(int $left, int $top, int $width, int $height): self
    {
        return $this->made('extract_area', [$left, $top, $width, $height]);
    }

    /** Lays the picture at a place of an empty sheet. */
    public function embed(int $left, int $top, int $width, int $height): self
    {
        return $this->made('embed', [$left, $top, $width, $height]);
    }

    /** Repeats the picture to fill a sheet, its first corner shifted to the given place. */
    public function tiled(int $left, int $top, int $width, int $height): self
    {
        $left = $left % $this->width();
        $top = $top % $this->height();
        $left = $left > 0 ? $left - $this->width() : $left;
        $top = $top > 0 ? $top - $this->height() : $top;
        $across = (int) ceil(($width - $left) / $this->width());
        $down = (int) ceil(($height - $top) / $this->height());

        return $this->made('replicate', [$across, $down])->crop(-$left, -$top, $width, $height);
    }

    /** Puts a part back over the picture at a place. */
    public function insert(self $part, int $left, int $top): self
    {
        return self::wrap(Vips::image('insert', [$this->handle, $part], [$left, $top]));
    }

    /** Shrinks or enlarges with a filter that keeps tone; alpha is weighed in. */
    public function resized(float $across, ?float $down = null): self
    {
        // No rough shrinking ahead of the filter: it costs tone, and here five times the time as well.
        $options = ['vscale' => $down ?? $across, 'gap' => 0.0];

        return $this->bands() === 4
            ? $this->premultiplied()->made('resize', [$across], $options)->unpremultiplied()
            : $this->made('resize', [$across], $options);
    }

    /** Each pixel becomes four. */
    public function doubled(): self
    {
        return $this->zoomed(2);
    }

    /** Each pixel becomes a rectangle. */
    public function stretchedOut(int $across, int $down): self
    {
        return $this->made('zoom', [$across, $down]);
    }

    /** Each pixel becomes a square of as many a side. */
    public function zoomed(int $by): self
    {
        return $by <= 1 ? $this : $this->made('zoom', [$by, $by]);
    }

    /** The mean of whole blocks of pixels; the picture's sides need not divide. */
    public function shrunk(int $by): self
    {
        return $by <= 1 ? $this : $this->made('shrink', [(float) $by, (float) $by]);
    }

    /** Ink shrunk by whole blocks, colours weighed by how much of them there is. */
    public function shrunkInk(int $by): self
    {
        return $by <= 1 ? $this : $this->premultiplied()->shrunk($by)->unpremultiplied();
    }

    /** Shrunk by any factor so that the mean stays what it was. */
    public function averaged(float $by): self
    {
        return abs($by - round($by)) < 1e-9
            ? $this->shrunk((int) round($by))
            : $this->made('resize', [1 / $by], ['kernel' => self::LINEAR, 'gap' => 0.0]);
    }

    /** Every so-manieth pixel each way, as it is. */
    public function sampled(int $every): self
    {
        return $every <= 1 ? $this : $this->made('subsample', [$every, $every]);
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
            return $this->premultiplied()->made('affine', [Boxed::doubles($matrix)], [
                'interpolate' => $interpolate,
                'odx' => $shiftX,
                'ody' => $shiftY,
                'oarea' => Boxed::integers([$left, $top, $width, $height]),
                'extend' => Extend::Background,
                'premultiplied' => true,
            ])->unpremultiplied();
        } finally {
            Vips::run('g_object_unref', $interpolate);
        }
    }

    /**
     * One band turned about its middle by degrees clockwise, and the middle of it cut out.
     *
     * @param  bool  $mixed  between pixels, or each the nearest as it is
     */
    public function turnedInto(float $degrees, int $width, int $height, bool $mixed = true): self
    {
        $interpolate = Vips::run('vips_interpolate_new', $mixed ? 'bilinear' : 'nearest');
        [$cos, $sin] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];
        // The library counts from the middle of the first pixel; to take the nearest it cuts off what is behind the point.
        $half = $mixed ? 0.5 : 0.0;
        [$x, $y] = [$this->width() / 2 - $half, $this->height() / 2 - $half];

        try {
            return $this->made('affine', [Boxed::doubles([$cos, -$sin, $sin, $cos])], [
                'interpolate' => $interpolate,
                'odx' => ($width - 1) / 2 - ($x * $cos - $y * $sin),
                'ody' => ($height - 1) / 2 - ($x * $sin + $y * $cos),
                'oarea' => Boxed::integers([0, 0, $width, $height]),
            ]);
        } finally {
            Vips::run('g_object_unref', $interpolate);
        }
    }

    /** A coarse grid of samples drawn out to single pixels, straight in between; the first sample is the first pixel. */
    public function spread(int $step, int $width, int $height): self
    {
        $interpolate = Vips::run('vips_interpolate_new', 'bilinear');
        try {
            return $this->made('affine', [Boxed::doubles([(float) $step, 0.0, 0.0, (float) $step])], [
                'interpolate' => $interpolate,
                'oarea' => Boxed::integers([0, 0, $width, $height]),
                'extend' => Extend::Copy,
            ]);
        } finally {
            Vips::run('g_object_unref', $interpolate);
        }
    }

    /** A picture as large as the map, each of its pixels taken from where the map's two bands point; clear beyond the edge. */
    public function drawnFrom(self $map): self
    {
        $interpolate = Vips::run('vips_interpolate_new', 'bicubic');
        try {
            // An edge of clear pixels, so that what lies beyond is clear and not the last row drawn out.
            $wide = $this->premultiplied()->embed(2, 2, $this->width() + 4, $this->height() + 4);

            return $wide->made('mapim', [$map->stretched(1, 2)], ['interpolate' => $interpolate])->unpremultiplied();
        } finally {
            Vips::run('g_object_unref', $interpolate);
        }
    }

    /**
     * @param  float  $sigma  in pixels
     * @param  float  $tail  where the bell is cut off, as a share of its height
     */
    public function blurred(float $sigma, float $tail = 0.2): self
    {
        return $sigma < 0.2 ? $this : $this->made('gaussblur', [$sigma], ['min-ampl' => $tail]);
    }

    public function autorotated(): self
    {
        return $this->made('autorot');
    }

    /** 8-bit sRGB with alpha, whatever came in. */
    public function asInk(): self
    {
        $image = $this->made('colourspace', [22]);
        if ($image->bands() < 4) {
            $image = $image->made('bandjoin_const', [Boxed::doubles([255.0])]);
        } elseif ($image->bands() > 4) {
            $image = $image->band(0, 4);
        }

        return $image->made('cast', [0]);
    }

    /** Computes all pixels now and keeps them in memory. */
    public function settled(): self
    {
        $copy = Vips::run('vips_image_copy_memory', $this->handle);
        if (! $copy instanceof CData) {
            throw RasterFailed::during('copy', Vips::complaint());
        }

        return self::wrap($copy);
    }

    /** The raw samples, row by row, bands interleaved. */
    public function toBytes(): string
    {
        $size = Vips::library()->new('size_t');
        assert($size instanceof CData);
        $memory = Vips::run('vips_image_write_to_memory', $this->handle, FFI::addr($size));
        if (! $memory instanceof CData) {
            throw RasterFailed::during('read', Vips::complaint());
        }
        $bytes = FFI::string($memory, $size->cdata);
        Vips::run('g_free', $memory);

        return $bytes;
    }

    private static function wrap(CData $handle): self
    {
        return new self($handle);
    }

    /**
     * @param  list<mixed>  $after
     * @param  array<string, mixed>  $options
     */
    private function made(string $operation, array $after = [], array $options = []): self
    {
        return self::wrap(Vips::image($operation, [$this->handle], $after, $options));
    }

    private static function int(mixed $value): int
    {
        assert(is_int($value));

        return $value;
    }
}
