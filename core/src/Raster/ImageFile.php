<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use TallCrow\Colour\Srgb;

/** Pictures in files and from markup. */
final class ImageFile
{
    /** Of libvips' reader of JPEG: what it read keeps this note through all that is done to it. */
    public const JPEG_NOTE = 'jpeg-chroma-subsample';

    /**
     * Opens a file with the one reader that its type asks for, and no other.
     *
     * @throws RasterFailed
     */
    public static function read(PictureType $type, string $path, bool $strict = false): Image
    {
        // An HDR or animated relative of these never gets here: PictureType knows four kinds.
        $options = $strict ? ['fail-on' => FailOn::Truncated] : [];

        return Image::of(Vips::image($type->value.'load', [$path], [], $options));
    }

    /** Opens a file that writeMapped() wrote. */
    public static function mapped(string $path): Image
    {
        return Image::of(Vips::image('vipsload', [$path]));
    }

    /** Paints an SVG whose own width and height are its size in pixels. */
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
     * PNG of few colours, transparent ones among them, without dither.
     *
     * @param  int  $quality  1 to 100: as many of 256 colours are taken as that needs
     */
    public static function writePalette(Image $image, string $path, int $quality): void
    {
        Vips::operate('pngsave', [$image, $path], ['palette' => true, 'bitdepth' => 8, 'Q' => $quality, 'dither' => 0.0, 'effort' => 4]);
    }

    public static function png(Image $image, int $compression = 1): string
    {
        return self::buffer($image, 'pngsave_buffer', ['compression' => $compression, 'strip' => true]);
    }

    /** Laid on a colour, for where a picture may have no alpha. */
    public static function jpegOn(Image $image, Srgb $ground, int $quality = 88): string
    {
        $flat = $image->operation('flatten', [], ['background' => Boxed::doubles([$ground->red, $ground->green, $ground->blue])]);

        return self::buffer($flat, 'jpegsave_buffer', ['Q' => $quality, 'strip' => true]);
    }

    /** The library's own uncompressed file, which is mapped and not read when opened. */
    public static function writeMapped(Image $image, string $path): void
    {
        Vips::operate('vipssave', [$image, $path]);
    }

    /** TIFF 6.0: 8 bits to the sample, alpha as an extra sample, LZW with horizontal prediction, density told in inches. */
    public static function writeTiff(Image $image, string $path, float $ppi): void
    {
        // libvips counts pixels to the millimetre.
        Vips::operate('tiffsave', [$image, $path], ['compression' => TiffCompression::Lzw->value, 'predictor' => TiffPredictor::Horizontal->value, 'resunit' => TiffUnit::Inch->value, 'xres' => $ppi / 25.4, 'yres' => $ppi / 25.4]);
    }

    /** A bilevel picture for tracing: ink where the mask is half or more. */
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
