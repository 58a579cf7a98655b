<?php

declare(strict_types=1);

namespace TallCrow\Export;

use TallCrow\Artwork\Artwork;
use TallCrow\Asset\Shelf;
use TallCrow\Measure\PrintArea;
use TallCrow\Preflight\Demands;
use TallCrow\Preflight\Preflight;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Render\FlatSheet;
use TallCrow\Render\FolderPictures;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;
use TallCrow\Render\NoPictures;
use TallCrow\Render\NotFlat;
use TallCrow\Render\Pictures;
use TallCrow\Render\Renderer;

/** Exports an artwork to the file for the print house, and runs the checks on that very file. */
final class Exporter
{
    /**
     * @param  string  $path  path of the finished file; it is written atomically
     * @param  string  $scratch  a temporary folder, emptied at the end
     * @param  ?Pictures  $pieces  where pieces are kept for other prints of the same design; in the scratch folder otherwise
     * @param  ?Pictures  $materials  where fields of wear and papers are kept for other prints
     * @param  ?callable(Renderer): Demands  $demands  what it is held to; null for the rule of its brief
     *
     * @throws LayerTrouble|PngBroken|NotFlat
     */
    public static function export(Artwork $artwork, Shelf $shelf, string $path, string $scratch, ExportProgress $progress, ?PrintArea $area = null, ?Pictures $materials = null, PrintForm $form = new PrintForm, ?callable $demands = null, ?Pictures $pieces = null): Exported
    {
        try {
            $frame = Frame::sheet($artwork->sheet, $artwork->sheet->ppi->value);
            $renderer = new Renderer($shelf, $pieces ?? new FolderPictures($scratch, materials: $materials));
            $draw = fn (): Image => $renderer->picture($artwork, $frame, progress: $progress);
            // Two houses that need the same size share the picture.
            $picture = $pieces === null ? $draw() : $pieces->image('print '.hash('xxh128', serialize($artwork)), $draw);

            $progress->stage(ExportStage::Write);
            // Check the file that was written, whatever its format.
            $png = $form->kind === FileKind::Png ? $path : "$scratch/print.png";
            $handed = $form->mirrored ? $picture->mirroredAcross() : $picture;
            $packing = PackedPng::write($handed, $png, $artwork->sheet->ppi, $artwork->title, $form->kind === FileKind::Png ? $form : new PrintForm);
            $written = ImageFile::read(PictureType::Png, $png)->asInk()->settled();
            match ($form->kind) {
                FileKind::Png => null,
                FileKind::Tiff => PrintTiff::write($written, $path, $artwork->sheet->ppi),
                FileKind::Pdf => PrintPdf::write($written, $path, $artwork->sheet->ppi, $artwork->title),
                FileKind::OpenRaster => OpenRaster::write($artwork, $renderer, $picture, $path, $scratch, $form->mirrored),
                FileKind::Svg => OutlineSvg::write($artwork, new FlatSheet($renderer->placer, new NoPictures), $path, $form->cut, $form->mirrored),
            };
            clearstatcache(true, $path);
            $bytes = (int) filesize($path);
            $packing = $form->kind === FileKind::Png ? $packing : new Packing(0, null, $form->mostBytes !== null && $bytes > $form->mostBytes);

            $progress->stage(ExportStage::Check);
            $report = Preflight::artwork($artwork, $renderer, $shelf, $area, $form->mirrored ? $written->mirroredAcross()->settled() : $written, demands: $demands === null ? null : $demands($renderer));

            return new Exported($frame->width, $frame->height, $artwork->sheet->ppi, $bytes, (string) hash_file('sha256', $path), $report, $packing->said());
        } finally {
            self::remove($scratch);
        }
    }

    private static function remove(string $folder): void
    {
        foreach (glob($folder.'/*') ?: [] as $file) {
            @unlink($file);
        }
        @rmdir($folder);
    }
}
