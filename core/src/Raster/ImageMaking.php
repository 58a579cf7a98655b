<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** Where pictures come from and where they go. */
trait ImageMaking
{
    /** VipsBlendMode. */
    private const SOURCE_OVER = 2;

    private const DEST_OUT = 9;

    /**
     * Opens a file with the one reader that its type asks for, and no other.
     *
     * @throws RasterFailed
     */
    public static function load(PictureType $type, string $path, bool $strict = false): self
    {
        // An HDR or animated relative of these never gets here: PictureType knows four kinds.
        $options = $strict ? ['fail-on' => 1] : [];

        return self::wrap(Vips::image($type->value.'load', [$path], [], $options));
    }

    /** Opens a file that writeMapped() wrote. */
    public static function mapped(string $path): self
    {
        return self::wrap(Vips::image('vipsload', [$path]));
    }

    /** Paints an SVG whose own width and height are its size in pixels. */
    public static function svg(string $svg): self
    {
        return self::wrap(Vips::image('svgload_buffer', [Boxed::bytes($svg)], [], ['unlimited' => true]));
    }

    /** @param  string  $bytes rows of interleaved 8-bit samples */
    public static function raw(string $bytes, int $width, int $height, int $bands): self
    {
        $handle = Vips::run('vips_image_new_from_memory_copy', $bytes, strlen($bytes), $width, $height, $bands, 0);
        assert($handle instanceof \FFI\CData);
        $image = self::wrap($handle);

        return $bands >= 3 ? $image->made('copy', [], ['interpretation' => 22]) : $image;
    }

    /**
     * Rows of interleaved 8-bit samples where another library holds them: settle what is made of them while it does.
     *
     * @internal
     */
    public static function memory(\FFI\CData $data, int $width, int $height, int $bands): self
    {
        $handle = Vips::run('vips_image_new_from_memory', $data, $width * $height * $bands, $width, $height, $bands, 0);
        assert($handle instanceof \FFI\CData);

        return self::wrap($handle)->made('copy', [], ['interpretation' => 22]);
    }

    /** @param  string  $bytes  rows of interleaved samples in 32-bit floating point, lowest byte first */
    public static function samples(string $bytes, int $width, int $height, int $bands): self
    {
        $handle = Vips::run('vips_image_new_from_memory_copy', $bytes, strlen($bytes), $width, $height, $bands, 6);
        assert($handle instanceof \FFI\CData);

        return self::wrap($handle);
    }

    public static function empty(int $width, int $height, int $bands = 4): self
    {
        $image = self::wrap(Vips::image('black', [], [$width, $height], ['bands' => $bands]));

        return $bands >= 3 ? $image->made('copy', [], ['interpretation' => 22]) : $image;
    }

    /** One colour all over, under the given alpha. */
    public static function flat(\TallCrow\Colour\Srgb $colour, self $alpha): self
    {
        return self::raw(chr($colour->red).chr($colour->green).chr($colour->blue), 1, 1, 3)
            ->stretchedOut($alpha->width(), $alpha->height())
            ->withBand($alpha);
    }

    /**
     * Gradient noise, smooth from -1 to 1, that meets itself at the edges when the sides are whole cells.
     */
    public static function noise(int $width, int $height, int $cell, int $seed): self
    {
        return self::wrap(Vips::image('perlin', [], [$width, $height], ['cell-size' => $cell, 'seed' => $seed]));
    }

    /**
     * Random grains blurred to blobs of a size, alike in all directions, that meet themselves at the edges.
     *
     * @param  float  $sigma  in pixels; a blob is about four of it across
     */
    public static function grain(int $side, float $sigma, int $seed): self
    {
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($seed));
        $margin = (int) ceil($sigma * 4) + 1;

        return self::raw($random->getBytes(max(1, $side * $side)), $side, $side, 1)
            ->tiled($margin, $margin, $side + 2 * $margin, $side + 2 * $margin)
            ->stretched(1.0)
            ->blurred($sigma)
            ->crop($margin, $margin, $side, $side);
    }

    /** @param  string  $bytes  one row of 16-bit samples, lowest byte first */
    public static function words(string $bytes, int $width): self
    {
        $handle = Vips::run('vips_image_new_from_memory_copy', $bytes, strlen($bytes), $width, 1, 1, 2);
        assert($handle instanceof \FFI\CData);

        return self::wrap($handle);
    }

    /**
     * Two waves at right angles over a turned grid, weighed and added: one floating point band.
     *
     * @param  array{int, int}  $at  what the first pixel counts as
     * @param  float  $perPixel  waves to a pixel
     */
    public static function screen(int $width, int $height, array $at, float $perPixel, float $angle, float $across, float $down): self
    {
        [$cos, $sin] = [cos(deg2rad($angle)) * 360 * $perPixel, sin(deg2rad($angle)) * 360 * $perPixel];
        $places = self::wrap(Vips::image('xyz', [], [$width, $height]));
        $x = $places->band(0)->stretched(1.0, $at[0] + 0.5);
        $y = $places->band(1)->stretched(1.0, $at[1] + 0.5);
        // The library's cosine takes degrees.
        $u = $x->stretched($cos)->plus($y->stretched($sin))->made('math', [1]);
        $v = $x->stretched(-$sin)->plus($y->stretched($cos))->made('math', [1]);

        return $u->stretched($across)->plus($v->stretched($down));
    }

    /** Round hills on a square grid, as many across as asked: one 8-bit band. */
    public static function waves(int $side, int $count): self
    {
        $row = '';
        for ($x = 0; $x < $side; $x++) {
            $row .= pack('g', cos(2 * M_PI * $x * $count / $side));
        }
        $across = self::samples($row, $side, 1, 1)->made('replicate', [1, $side]);
        $down = $across->made('rot', [1]);

        return $across->plus($down)->scaledBy(255 / 4, 127.5);
    }

    /**
     * Lays pictures over one another on an empty sheet, the first lowest, in one pass.
     *
     * @param  list<Laid>  $pieces  each within the sheet
     */
    public static function stacked(int $width, int $height, array $pieces): self
    {
        while ($pieces !== [] && $pieces[0]->takes) {
            array_shift($pieces);
        }
        $first = array_shift($pieces);
        if ($first === null) {
            return self::empty($width, $height);
        }
        $base = [$first->left, $first->top, $first->image->width(), $first->image->height()] === [0, 0, $width, $height]
            ? $first->image
            : $first->image->embed($first->left, $first->top, $width, $height);
        if ($pieces === []) {
            return $base;
        }

        return self::wrap(Vips::image('composite', [
            Boxed::images([$base, ...array_map(fn (Laid $piece): self => $piece->image, $pieces)]),
        ], [
            Boxed::integers(array_map(fn (Laid $piece): int => $piece->takes ? self::DEST_OUT : self::SOURCE_OVER, $pieces)),
        ], [
            'x' => Boxed::integers(array_column($pieces, 'left')),
            'y' => Boxed::integers(array_column($pieces, 'top')),
            'compositing-space' => 22,
        ]));
    }

    /** @param  int  $compression 0 to 9 */
    public function writePng(string $path, int $compression = 6): void
    {
        Vips::operate('pngsave', [$this, $path], ['compression' => $compression, 'interlace' => false, 'strip' => true]);
    }

    public function png(int $compression = 1): string
    {
        return $this->buffer('pngsave_buffer', ['compression' => $compression, 'strip' => true]);
    }

    /** The library's own uncompressed file, which is mapped and not read when opened. */
    public function writeMapped(string $path): void
    {
        Vips::operate('vipssave', [$this, $path]);
    }

    /** A bilevel picture for tracing: ink where the mask is half or more. */
    public function writeBitmap(string $path): void
    {
        Vips::operate('ppmsave', [$this->inverted(), $path], ['bitdepth' => 1]);
    }

    /** @param  array<string, mixed>  $options */
    private function buffer(string $operation, array $options): string
    {
        $out = Vips::library()->new('void *');
        assert($out instanceof \FFI\CData);
        Vips::operate($operation, [$this, \FFI::addr($out)], $options);
        $size = Vips::library()->new('size_t');
        assert($size instanceof \FFI\CData);
        $data = Vips::run('vips_blob_get', $out, \FFI::addr($size));
        assert($data instanceof \FFI\CData);
        $bytes = \FFI::string($data, $size->cdata);
        Vips::run('vips_area_unref', Vips::library()->cast('VipsArea *', $out));

        return $bytes;
    }
}
