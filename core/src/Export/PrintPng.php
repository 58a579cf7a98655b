<?php

declare(strict_types=1);

namespace TallCrow\Export;

use TallCrow\Measure\Ppi;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;

/** Writes the file that a print house takes: 8-bit RGBA, not interlaced, its density and colour space declared. */
final class PrintPng
{
    public const SOFTWARE = 'Tall Crow';

    /** zlib's level. Of our benchmark sheet, 6 makes a file a fifth smaller in two to three times the time. */
    public const COMPRESSION = 3;

    public const HARDEST = 9;

    /**
     * Written aside and renamed, so that a file of this name is always whole; nothing is left of colour under full
     * transparency.
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

    /** A file name made of the design's title: letters, digits and dashes. */
    public static function fileName(string $title): string
    {
        $ascii = (string) preg_replace('/[^\x20-\x7e]+/', '', (string) iconv('UTF-8', 'ASCII//TRANSLIT//IGNORE', $title));
        $name = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($ascii)), '-');

        return ($name === '' ? 'design' : substr($name, 0, 80)).'.png';
    }
}
