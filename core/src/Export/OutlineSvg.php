<?php

declare(strict_types=1);

namespace TallCrow\Export;

use TallCrow\Artwork\Artwork;
use TallCrow\Geometry\Region;
use TallCrow\Render\FlatInk;
use TallCrow\Render\FlatSheet;
use TallCrow\Render\NotFlat;

/**
 * Writes a sheet as SVG 1.1 at true size, for vinyl cutters: one path for each coloured area, and a cut line around everything. The user unit is the
 * inch.
 */
final class OutlineSvg
{
    /** Width of the cut line in inches; cutters follow the line, whatever its width (common practice: a hairline). */
    private const HAIRLINE = 0.001;

    /**
     * @param  ?float  $cut  distance of the cut line from the ink, in inches; null for none
     *
     * @throws NotFlat|PngBroken
     */
    public static function write(Artwork $artwork, FlatSheet $sheet, string $path, ?float $cut, bool $mirrored): void
    {
        $inks = $sheet->inks($artwork);
        $box = $artwork->sheet->box();
        $parts = implode("\n", array_map(fn (FlatInk $ink): string => sprintf('  <path fill="%s" d="%s"/>', $ink->colour->toHex(), $ink->outline()->toSvg(5)), $inks));
        $line = $cut === null ? '' : sprintf("\n  <path id=\"cut\" fill=\"none\" stroke=\"#ff00ff\" stroke-width=\"%s\" d=\"%s\"/>", self::HAIRLINE, Region::united(array_column($inks, 'region'))->whole()->moved($cut)->whole()->path()->toSvg(5));
        $svg = sprintf(
            "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%Fin\" height=\"%Fin\" viewBox=\"0 0 %F %F\">\n <title>%s</title>\n <g fill-rule=\"nonzero\"%s>\n%s%s\n </g>\n</svg>\n",
            $box->width(), $box->height(), $box->width(), $box->height(), htmlspecialchars($artwork->title, ENT_XML1 | ENT_QUOTES), $mirrored ? sprintf(' transform="translate(%F 0) scale(-1 1)"', $box->width()) : '', $parts, $line,
        );
        file_put_contents("$path.part", $svg) === strlen($svg) && rename("$path.part", $path) || throw PngBroken::unwritable($path);
    }
}
