<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Raster\PngColours;
use TallCrow\Raster\RasterFailed;

/** Opens an untrusted picture: the type is detected by content, and the size is read from the header before any pixel is decoded. */
final class PictureReader
{
    public const MOST_BYTES = 60_000_000;

    private const MOST_SVG_BYTES = 8_000_000;

    private const MOST_SIDE = 16_000;

    private const MOST_PIXELS = 100_000_000;

    /** @throws PictureRefused */
    public static function open(string $path): Picture
    {
        $bytes = (int) filesize($path);
        if ($bytes > self::MOST_BYTES) {
            throw PictureRefused::bytes($bytes, self::MOST_BYTES);
        }
        $type = PictureType::of((string) file_get_contents($path, length: 4096)) ?? throw PictureRefused::type();
        if ($type === PictureType::Svg) {
            if ($bytes > self::MOST_SVG_BYTES) {
                throw PictureRefused::bytes($bytes, self::MOST_SVG_BYTES);
            }

            return self::drawing((string) file_get_contents($path));
        }
        try {
            $image = ImageFile::read($type, $path);
            [$width, $height] = [$image->width(), $image->height()];
            if ($width > self::MOST_SIDE || $height > self::MOST_SIDE || $width * $height > self::MOST_PIXELS) {
                throw PictureRefused::pixels($width, $height, self::MOST_SIDE);
            }
            if ($image->pages() > 1) {
                throw PictureRefused::animated($image->pages());
            }
            if ($type === PictureType::Png) {
                PngColours::read($path);
            }
            $upright = $image->autorotated();
        } catch (RasterFailed $failed) {
            throw PictureRefused::broken($failed->getMessage());
        }

        return Picture::raster($type, $upright->width(), $upright->height(), $path);
    }

    /**
     * Opens it and decodes every pixel once, so that truncated files are rejected on upload.
     *
     * @throws PictureRefused
     */
    public static function check(string $path): Picture
    {
        $picture = self::open($path);
        try {
            $picture->isVector() ? $picture->pixels()->mean() : ImageFile::read($picture->type, $path, strict: true)->mean();
        } catch (RasterFailed $failed) {
            throw PictureRefused::broken($failed->getMessage());
        }

        return $picture;
    }

    /** @throws PictureRefused */
    private static function drawing(string $svg): Picture
    {
        return Picture::drawing(SvgCleaner::clean($svg));
    }
}
