<?php

declare(strict_types=1);

namespace TallCrow\Export;

use TallCrow\Measure\Ppi;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;

/** Writes a print as PNG within a size limit: first with stronger compression, then, if allowed, with fewer colours. */
final class PackedPng
{
    /** Palette qualities to try in turn; without dithering, so that no speckles are printed. */
    private const QUALITIES = [100, 75, 50, 25, 5];

    /** @throws PngBroken */
    public static function write(Image $picture, string $path, Ppi $ppi, string $title, PrintForm $form): Packing
    {
        PrintPng::write($picture, $path, $ppi, $title);
        $fits = function () use ($path, $form): bool {
            clearstatcache(true, $path);

            return $form->mostBytes === null || filesize($path) <= $form->mostBytes;
        };
        if ($fits()) {
            return new Packing(PrintPng::COMPRESSION);
        }
        PrintPng::write($picture, $path, $ppi, $title, PrintPng::HARDEST);
        if ($fits() || ! $form->fewerColours) {
            return new Packing(PrintPng::HARDEST, null, ! $fits());
        }
        foreach (self::QUALITIES as $quality) {
            [$reduced, $colours] = self::reduced($picture, $quality, "$path.palette");
            PrintPng::write($reduced, $path, $ppi, $title, PrintPng::HARDEST);
            if ($fits()) {
                return new Packing(PrintPng::HARDEST, $colours);
            }
        }

        return new Packing(PrintPng::HARDEST, $colours, true);
    }

    /** @return array{Image, int} the picture in fewer colours, still 8-bit RGBA, and their number */
    private static function reduced(Image $picture, int $quality, string $aside): array
    {
        try {
            ImageFile::writePalette(Composition::withoutHiddenColour($picture), $aside, $quality);
            $palette = array_values(array_filter(PngFile::chunks($aside), fn (PngChunk $chunk): bool => $chunk->type === 'PLTE'));

            return [ImageFile::read(PictureType::Png, $aside)->asInk()->settled(), intdiv(strlen($palette[0]->data ?? ''), 3)];
        } finally {
            is_file($aside) && unlink($aside);
        }
    }
}
