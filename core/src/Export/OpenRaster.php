<?php

declare(strict_types=1);

namespace TallCrow\Export;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Role;
use TallCrow\Raster\BlendMode;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Render\Frame;
use TallCrow\Render\Renderer;
use ZipArchive;

/**
 * Writes a print as OpenRaster: a zip with a PNG of every layer and one of the whole (OpenRaster baseline, freedesktop.org). Knockouts are applied to
 * the layers below them, so that the layers together show the print.
 */
final class OpenRaster
{
    private const THUMBNAIL = 256;

    /**
     * @param  Image  $whole  the finished picture, not mirrored
     * @param  string  $scratch  a temporary folder for layers
     *
     * @throws PngBroken when nothing can be written
     */
    public static function write(Artwork $artwork, Renderer $renderer, Image $whole, string $path, string $scratch, bool $mirrored): void
    {
        $frame = Frame::sheet($artwork->sheet, $artwork->sheet->ppi->value);
        $put = function (Image $image, string $name) use ($scratch): string {
            ImageFile::writePng(Composition::withoutHiddenColour($image), "$scratch/$name.png", PrintPng::COMPRESSION);

            return "$scratch/$name.png";
        };
        $zip = new ZipArchive;
        $zip->open("$path.part", ZipArchive::CREATE | ZipArchive::OVERWRITE) === true || throw PngBroken::unwritable($path);
        $zip->addFromString('mimetype', FileKind::OpenRaster->mime());
        $zip->setCompressionName('mimetype', ZipArchive::CM_STORE);
        $rows = [];
        foreach ($artwork->layers as $at => $layer) {
            $box = self::box($layer, $at, $artwork, $renderer, $frame, $mirrored);
            if ($box === null) {
                continue;
            }
            [$image, $left, $top] = $box;
            self::add($zip, $put($image, "layer-$at"), "data/layer-$at.png");
            $operator = $layer->blend === BlendMode::Normal ? 'svg:src-over' : 'svg:'.$layer->blend->value;
            array_unshift($rows, sprintf('  <layer name="%s" src="data/layer-%d.png" x="%d" y="%d" opacity="1.0" visibility="visible" composite-op="%s"/>', htmlspecialchars($layer->called(), ENT_XML1 | ENT_QUOTES), $at, $left, $top, $operator));
        }
        $ppi = (int) round($artwork->sheet->ppi->value);
        $zip->addFromString('stack.xml', sprintf("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<image version=\"0.0.3\" w=\"%d\" h=\"%d\" xres=\"%d\" yres=\"%d\">\n <stack>\n%s\n </stack>\n</image>\n", $frame->width, $frame->height, $ppi, $ppi, implode("\n", $rows)));
        $handed = $mirrored ? $whole->mirroredAcross() : $whole;
        self::add($zip, $put($handed, 'merged'), 'mergedimage.png');
        $by = min(1.0, self::THUMBNAIL / max($frame->width, $frame->height));
        self::add($zip, $put($handed->resized($by, $by), 'thumbnail'), 'Thumbnails/thumbnail.png');
        $zip->close() || throw PngBroken::unwritable($path);
        rename("$path.part", $path) || throw PngBroken::unwritable($path);
    }

    /** @return ?array{Image, int, int} a layer's picture cropped to its ink, with its left and top; null if it has no ink */
    private static function box(Layer $layer, int $at, Artwork $artwork, Renderer $renderer, Frame $frame, bool $mirrored): ?array
    {
        if (! $layer->on || ! $layer->role->prints()) {
            return null;
        }
        $alone = $artwork->withLayers(array_map(fn (Layer $one, int $i): Layer => match (true) {
            $i === $at => $one->withRole(Role::ink())->withBlend(BlendMode::Normal),
            $i > $at && $one->on && $one->role->takesAway() && ($one->role->from === [] || in_array($layer->id, $one->role->from, true)) => $one->withRole(Role::knockout($one->role->gap, $one->role->join, $one->role->from, $one->role->whole)),
            default => $one->withOn(false),
        }, $artwork->layers, array_keys($artwork->layers)));
        $picture = $renderer->picture($alone, $frame)->settled();
        $box = $picture->alpha()->isMore(0.0)->settled()->inkBox();
        if ($box === null) {
            return null;
        }
        [$left, $top, $width, $height] = $box;
        $cut = $picture->crop($left, $top, $width, $height);

        return $mirrored ? [$cut->mirroredAcross(), $frame->width - $left - $width, $top] : [$cut, $left, $top];
    }

    private static function add(ZipArchive $zip, string $file, string $name): void
    {
        $zip->addFile($file, $name);
        $zip->setCompressionName($name, ZipArchive::CM_STORE);
    }
}
