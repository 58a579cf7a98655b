<?php

declare(strict_types=1);

namespace TallCrow\Gang;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Sheet;
use TallCrow\Geometry\Box;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\Refit;
use TallCrow\Render\InkBox;
use TallCrow\Render\Renderer;

/** Crops a design to its ink, on a sheet of its own, for placing it on film. */
final class GangCut
{
    /**
     * @param  ?float  $width  width of its ink in inches; null to keep the design's own
     *
     * @throws GangRefused when it has no ink
     */
    public static function of(Artwork $artwork, ?float $width, Ppi $ppi, Renderer $renderer): Artwork
    {
        $ink = self::ink($artwork, $renderer);
        $by = $width === null ? 1.0 : $width / $ink->width();
        $sheet = new Sheet(max(1, (int) ceil($ink->width() * $by * $ppi->value)), max(1, (int) ceil($ink->height() * $by * $ppi->value)), $ppi);

        return $artwork->laidOn($sheet, Refit::by($by, -$ink->left * $by, -$ink->top * $by));
    }

    /**
     * The box of its ink on the sheet.
     *
     * @throws GangRefused
     */
    public static function ink(Artwork $artwork, Renderer $renderer): Box
    {
        $box = InkBox::of($artwork, $renderer)?->intersection($artwork->sheet->box());

        return $box === null || $box->isEmpty() ? throw GangRefused::noInk($artwork->title) : $box;
    }
}
