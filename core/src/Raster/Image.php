<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use FFI\CData;

/**
 * An immutable picture. Every method returns a new, lazy one, whose pixels are computed when they are read.
 * "Ink" is 8-bit sRGB with straight alpha (4 bands); a "mask" is one 8-bit band, from 0 (none) to 255 (all).
 */
final class Image
{
    use Arithmetic;
    use Samples;
    use Sizes;
    use Transforms;

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

    /** @internal VipsInterpretation of the bands */
    public function interpretation(): int
    {
        $number = Vips::run('vips_image_get_interpretation', $this->handle);

        return is_int($number) ? $number : 0;
    }

    /** Whether the picture has metadata of that name. */
    public function has(string $note): bool
    {
        return Vips::run('vips_image_get_typeof', $this->handle, $note) !== 0;
    }

    /** Whether samples have 16 bits. */
    public function isShort(): bool
    {
        return Vips::run('vips_image_get_format', $this->handle) === BandFormat::Short->value;
    }

    /** Whether samples have 8 bits. */
    public function isByte(): bool
    {
        return Vips::run('vips_image_get_format', $this->handle) === BandFormat::Byte->value;
    }

    /** Number of pages in the file that this picture was read from. */
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
        return $this->operation('extract_band', [$index], ['n' => $count]);
    }

    /** Appends the other picture's bands. */
    public function withBand(self $band): self
    {
        return self::of(Vips::image('bandjoin', [Boxed::images([$this, $band])]));
    }

    /** Replaces the alpha. */
    public function withAlpha(self $alpha): self
    {
        return $this->band(0, $this->bands() - 1)->withBand($alpha);
    }

    public function crop(int $left, int $top, int $width, int $height): self
    {
        return $this->operation('extract_area', [$left, $top, $width, $height]);
    }

    /** Places the picture on an empty sheet. */
    public function embed(int $left, int $top, int $width, int $height): self
    {
        return $this->operation('embed', [$left, $top, $width, $height]);
    }

    /** Places the picture on a sheet and repeats its edge pixels out to the rim. */
    public function spread(int $left, int $top, int $width, int $height): self
    {
        return $this->operation('embed', [$left, $top, $width, $height], ['extend' => Extend::Copy]);
    }

    /** Tiles a sheet with the picture; the corner of one tile lies at the given place. */
    public function tiled(int $left, int $top, int $width, int $height): self
    {
        $left = $left % $this->width();
        $top = $top % $this->height();
        $left = $left > 0 ? $left - $this->width() : $left;
        $top = $top > 0 ? $top - $this->height() : $top;
        $across = (int) ceil(($width - $left) / $this->width());
        $down = (int) ceil(($height - $top) / $this->height());

        return $this->operation('replicate', [$across, $down])->crop(-$left, -$top, $width, $height);
    }

    /** Mirrors the picture to the right and downwards, to twice its size, so that it tiles without a seam. */
    public function kaleidoscoped(): self
    {
        $row = self::of(Vips::image('join', [$this, $this->operation('flip', [0])], [0]));

        return self::of(Vips::image('join', [$row, $row->operation('flip', [1])], [1]));
    }

    /** Overwrites a part of the picture. */
    public function insert(self $part, int $left, int $top): self
    {
        return self::of(Vips::image('insert', [$this->handle, $part], [$left, $top]));
    }

    /** Turned by a quarter, clockwise. */
    public function quarterTurned(): self
    {
        return $this->operation('rot', [RightAngle::Quarter]);
    }

    /** Flipped left to right. */
    public function mirroredAcross(): self
    {
        return $this->operation('flip', [0]);
    }

    public function autorotated(): self
    {
        return $this->operation('autorot');
    }

    /** Converts any input to 8-bit sRGB with alpha. */
    public function asInk(): self
    {
        $image = $this->operation('colourspace', [Interpretation::Srgb]);
        if ($image->bands() < 4) {
            $image = $image->operation('bandjoin_const', [Boxed::doubles([255.0])]);
        } elseif ($image->bands() > 4) {
            $image = $image->band(0, 4);
        }

        return $image->operation('cast', [BandFormat::Byte]);
    }

    /** Computes the pixels on demand in square tiles. In chosen() only those branches are computed that a tile needs. */
    public function inSquares(int $side): self
    {
        return $this->operation('tilecache', [], ['tile-width' => $side, 'tile-height' => $side, 'max-tiles' => 1000, 'threaded' => true]);
    }

    /** Computes all pixels now and keeps them in memory. */
    public function settled(): self
    {
        $copy = Vips::run('vips_image_copy_memory', $this->handle);
        if (! $copy instanceof CData) {
            throw RasterFailed::during('copy', Vips::complaint());
        }

        return self::of($copy);
    }

    /** @param  string  $bytes rows of interleaved 8-bit samples */
    public static function raw(string $bytes, int $width, int $height, int $bands): self
    {
        $handle = Vips::run('vips_image_new_from_memory_copy', $bytes, strlen($bytes), $width, $height, $bands, BandFormat::Byte->value);
        assert($handle instanceof \FFI\CData);
        $image = self::of($handle);

        return $bands >= 3 ? $image->operation('copy', [], ['interpretation' => Interpretation::Srgb]) : $image;
    }

    /**
     * Wraps interleaved 8-bit samples in another library's memory, without a copy: settle the results while that memory is valid.
     *
     * @internal
     */
    public static function memory(CData $data, int $width, int $height, int $bands): self
    {
        $handle = Vips::run('vips_image_new_from_memory', $data, $width * $height * $bands, $width, $height, $bands, BandFormat::Byte->value);
        assert($handle instanceof \FFI\CData);

        return self::of($handle)->operation('copy', [], ['interpretation' => Interpretation::Srgb]);
    }

    /** @param  string  $bytes  rows of interleaved samples in 32-bit floating point, lowest byte first */
    public static function floats(string $bytes, int $width, int $height, int $bands): self
    {
        $handle = Vips::run('vips_image_new_from_memory_copy', $bytes, strlen($bytes), $width, $height, $bands, BandFormat::Float->value);
        assert($handle instanceof \FFI\CData);

        return self::of($handle);
    }

    /** @param  string  $bytes  one row of 16-bit samples, lowest byte first */
    public static function shorts(string $bytes, int $width): self
    {
        $handle = Vips::run('vips_image_new_from_memory_copy', $bytes, strlen($bytes), $width, 1, 1, BandFormat::Short->value);
        assert($handle instanceof \FFI\CData);

        return self::of($handle);
    }

    public static function empty(int $width, int $height, int $bands = 4): self
    {
        $image = self::of(Vips::image('black', [], [$width, $height], ['bands' => $bands]));

        return $bands >= 3 ? $image->operation('copy', [], ['interpretation' => Interpretation::Srgb]) : $image;
    }

    /** One colour all over, under the given alpha. */
    public static function flat(\TallCrow\Colour\Srgb $colour, self $alpha): self
    {
        return self::raw(chr($colour->red).chr($colour->green).chr($colour->blue), 1, 1, 3)
            ->zoomed($alpha->width(), $alpha->height())
            ->withBand($alpha);
    }

    /** @internal  what the library made */
    public static function of(CData $handle): self
    {
        return new self($handle);
    }

    /**
     * An operation of the library on this image.
     *
     * @internal
     *
     * @param  list<mixed>  $after  what it takes besides, in order
     * @param  array<string, mixed>  $options
     */
    public function operation(string $operation, array $after = [], array $options = []): self
    {
        return self::of(Vips::image($operation, [$this->handle], $after, $options));
    }

    private static function int(mixed $value): int
    {
        assert(is_int($value));

        return $value;
    }
}
