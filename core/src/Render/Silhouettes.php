<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Cutout\Contours;
use TallCrow\Cutout\Tracer;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Path;

/**
 * Outlines of ink that has no vector outline (pictures, SVGs, groups, masked pieces), traced from the alpha at print resolution, so that their
 * rings and gaps are as crisp as those of letters and the same at every ppi: along the line of half coverage where edges are smooth, by potrace where
 * they are hard or very many.
 */
final class Silhouettes
{
    public const PPI = 300.0;

    /**
     * @param  Piece  $piece  drawn at PPI
     * @return Path in inches on the sheet
     */
    public static function trace(Piece $piece): Path
    {
        $alpha = $piece->image->alpha()->settled();

        return (Contours::of($alpha) ?? Tracer::outline($alpha)->path())
            ->transformed(Affine::shift($piece->frame->left, $piece->frame->top))
            ->transformed(Affine::scale(1 / self::PPI, 1 / self::PPI));
    }
}
