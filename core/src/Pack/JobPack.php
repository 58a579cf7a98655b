<?php

declare(strict_types=1);

namespace TallCrow\Pack;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Sheet;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use ZipArchive;

/**
 * Reads and writes a job file: a zip of the sheet, the fonts and pictures that it uses with their licences, and a small
 * preview. docs/job-file.md describes it.
 */
final class JobPack
{
    public const FORMAT = 'tallcrow.job/1';

    public const MANIFEST = 'manifest.json';

    public const SHEET = 'artwork.json';

    public const PREVIEW = 'preview.png';

    public const FILES = 'files/';

    /** Greatest length of the preview's longer side in pixels. */
    private const PREVIEW_SIDE = 640;

    /**
     * Writes to a temporary file and renames it, so that a file of this name is always complete.
     *
     * @param  list<PackedFile>  $files  all files that the sheet uses
     * @param  Image  $preview  the whole sheet, small
     *
     * @throws JobPackRefused
     */
    public static function write(Artwork $artwork, array $files, Image $preview, string $path): void
    {
        $aside = sprintf('%s.%d.part', $path, getmypid());
        $zip = new ZipArchive;
        if (! is_writable(dirname($path)) || @$zip->open($aside, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw JobPackRefused::unwritable($path);
        }
        $zip->addFromString(self::MANIFEST, self::json([
            'format' => self::FORMAT,
            'title' => $artwork->title,
            'files' => array_map(fn (PackedFile $file): array => $file->toArray(), $files),
        ]));
        $zip->addFromString(self::SHEET, self::json($artwork->toArray()));
        $zip->addFromString(self::PREVIEW, ImageFile::png($preview, 6));
        foreach ($files as $file) {
            $zip->addFile($file->path, self::FILES.$file->name);
        }
        if (! @$zip->close() || ! @rename($aside, $path)) {
            @unlink($aside);
            throw JobPackRefused::unwritable($path);
        }
    }

    /** The resolution at which the whole sheet has the preview's size, in pixels per inch. */
    public static function previewPpi(Sheet $sheet): float
    {
        return $sheet->ppi->value * min(1.0, self::PREVIEW_SIDE / max($sheet->width, $sheet->height));
    }

    /**
     * Unpacks an untrusted job file into an empty folder: the sheet as artwork.json, and its files beside it, where the
     * command line finds them.
     *
     * @return array{Artwork, list<PackedFile>}
     *
     * @throws JobPackRefused|\TallCrow\Artwork\ArtworkInvalid
     */
    public static function unpack(string $path, string $folder): array
    {
        $reader = JobPackReader::open($path);
        try {
            $artwork = ArtworkReader::json($reader->text(self::SHEET));
            $files = $reader->files($folder);
        } finally {
            $reader->close();
        }
        foreach ($artwork->files() as $name) {
            if (! in_array($name, array_map(fn (PackedFile $file): string => $file->name, $files), true)) {
                throw JobPackRefused::lacks($name);
            }
        }
        if (@file_put_contents($folder.'/'.self::SHEET, self::json($artwork->toArray())) === false) {
            throw JobPackRefused::unwritable($folder.'/'.self::SHEET);
        }

        return [$artwork, $files];
    }

    /** @param  array<string, mixed>  $data */
    private static function json(array $data): string
    {
        return json_encode($data, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
    }
}
