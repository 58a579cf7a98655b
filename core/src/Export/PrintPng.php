<?php

declare(strict_types=1);

namespace TallCrow\Export;

use TallCrow\Measure\Ppi;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;

/** Writes the file for the print house: 8-bit RGBA, not interlaced, with resolution and colour space declared. */
final class PrintPng
{
    public const SOFTWARE = 'Tall Crow';

    /** zlib level. For the benchmark sheet, level 6 makes the file a fifth smaller but takes two to three times as long. */
    public const COMPRESSION = 3;

    public const HARDEST = 9;

    /**
     * Written under another name and renamed, so that the file is always complete; colours under full transparency are
     * set to 0.
     *
     * @throws PngBroken
     */
    public static function write(Image $picture, string $path, Ppi $ppi, string $title, int $compression = self::COMPRESSION): void
    {
        $aside = sprintf('%s.%d.part', $path, getmypid());
        try {
            ImageFile::writePng(Composition::withoutHiddenColour($picture), $aside.'.png', $compression);
            PngFile::withChunks($aside.'.png', $aside, [
                PngChunk::srgb(),
                PngChunk::density($ppi->perMetre()),
                ...($title === '' ? [] : [PngChunk::text('Title', $title)]),
                PngChunk::text('Software', self::SOFTWARE),
            ]);
            if (! @rename($aside, $path)) {
                throw PngBroken::unwritable($path);
            }
        } finally {
            foreach ([$aside.'.png', $aside] as $left) {
                if (is_file($left)) {
                    unlink($left);
                }
            }
        }
    }

    /** A file name from the design's title: letters, digits and dashes. */
    public static function fileName(string $title): string
    {
        $ascii = (string) preg_replace('/[^\x20-\x7e]+/', '', (string) iconv('UTF-8', 'ASCII//TRANSLIT//IGNORE', $title));
        $name = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($ascii)), '-');

        return ($name === '' ? 'design' : substr($name, 0, 80)).'.png';
    }
}
