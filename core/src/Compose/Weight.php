<?php

declare(strict_types=1);

namespace TallCrow\Compose;

use TallCrow\Geometry\Path;

/** Visual weight: the mean thickness of an outline's strokes. */
final class Weight
{
    private const TOLERANCE = 0.002;

    /**
     * A stroke of length l and thickness t has the area l t and an edge of about 2 l, so its thickness is twice the area
     * over the edge. In the outline's own unit; 0 for an empty outline.
     */
    public static function of(Path $path): float
    {
        $edge = $twice = 0.0;
        foreach ($path->contours(self::TOLERANCE) as $contour) {
            foreach ($contour as $i => [$x, $y]) {
                [$fromX, $fromY] = $contour[max(0, $i - 1)];
                $edge += hypot($x - $fromX, $y - $fromY);
                $twice += $fromX * $y - $x * $fromY;
            }
        }

        return $edge <= 0 ? 0.0 : abs($twice) / $edge;
    }
}
