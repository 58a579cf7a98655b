<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use TallCrow\Colour\Srgb;

/** Reads and writes picture files, and renders SVG. */
final class ImageFile
{
    /** Metadata that libvips' JPEG reader sets; it survives all operations on the picture. */
    public const JPEG_NOTE = 'jpeg-chroma-subsample';

    /**
     * Opens a file with the reader for its type, and no other.
     *
     * @throws RasterFailed
     */
    public static function read(PictureType $type, string $path, bool $strict = false): Image
    {
        // PictureType admits four kinds; HDR and animated variants never get here.
        $options = $strict ? ['fail-on' => FailOn::Truncated] : [];

        return Image::of(Vips::image($type->value.'load', [$path], [], $options));
    }

    /** Opens a file written by writeMapped(). */
    public static function mapped(string $path): Image
    {
        return Image::of(Vips::image('vipsload', [$path]));
    }

    /** Renders an SVG whose width and height attributes are its size in pixels. */
    public static function drawing(string $svg): Image
    {
        return Image::of(Vips::image('svgload_buffer', [Boxed::bytes($svg)], [], ['unlimited' => true]));
    }

    /** @param  int  $compression 0 to 9 */
    public static function writePng(Image $image, string $path, int $compression = 6): void
    {
        Vips::operate('pngsave', [$image, $path], ['compression' => $compression, 'interlace' => false, 'strip' => true]);
    }

    /**
     * Writes a PNG with a palette (including transparent colours), without dithering.
     *
     * @param  int  $quality  1 to 100: the palette gets as many of 256 colours as this quality needs
     */
    public static function writePalette(Image $image, string $path, int $quality): void
    {
        Vips::operate('pngsave', [$image, $path], ['palette' => true, 'bitdepth' => 8, 'Q' => $quality, 'dither' => 0.0, 'effort' => 4]);
    }

    public static function png(Image $image, int $compression = 1): string
    {
        return self::buffer($image, 'pngsave_buffer', ['compression' => $compression, 'strip' => true]);
    }

    /** A JPEG of the picture flattened on a colour. */
    public static function jpegOn(Image $image, Srgb $ground, int $quality = 88): string
    {
        $flat = $image->operation('flatten', [], ['background' => Boxed::doubles([$ground->red, $ground->green, $ground->blue])]);

        return self::buffer($flat, 'jpegsave_buffer', ['Q' => $quality, 'strip' => true]);
    }

    /** Writes the library's own uncompressed format, which is memory-mapped when opened. */
    public static function writeMapped(Image $image, string $path): void
    {
        Vips::operate('vipssave', [$image, $path]);
    }

    /** TIFF 6.0: 8 bits per sample, alpha as an extra sample, LZW with horizontal prediction, resolution in inches. */
    public static function writeTiff(Image $image, string $path, float $ppi): void
    {
        // libvips expects pixels per millimetre.
        Vips::operate('tiffsave', [$image, $path], ['compression' => TiffCompression::Lzw->value, 'predictor' => TiffPredictor::Horizontal->value, 'resunit' => TiffUnit::Inch->value, 'xres' => $ppi / 25.4, 'yres' => $ppi / 25.4]);
    }

    /** Writes a bilevel picture for tracing: ink where the mask is 50 % or more. */
    public static function writeBitmap(Image $image, string $path): void
    {
        Vips::operate('ppmsave', [$image->inverted(), $path], ['bitdepth' => 1]);
    }

    /** @param  array<string, mixed>  $options */
    private static function buffer(Image $image, string $operation, array $options): string
    {
        $out = Vips::library()->new('void *');
        assert($out instanceof \FFI\CData);
        Vips::operate($operation, [$image, \FFI::addr($out)], $options);
        $size = Vips::library()->new('size_t');
        assert($size instanceof \FFI\CData);
        $data = Vips::run('vips_blob_get', $out, \FFI::addr($size));
        assert($data instanceof \FFI\CData);
        $bytes = \FFI::string($data, $size->cdata);
        Vips::run('vips_area_unref', Vips::library()->cast('VipsArea *', $out));

        return $bytes;
    }
}
