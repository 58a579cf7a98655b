<?php

declare(strict_types=1);

namespace TallCrow\Compose;

use TallCrow\Geometry\Path;

/** Visual weight: how thick the strokes of an outline are in the mean. */
final class Weight
{
    private const TOLERANCE = 0.002;

    /**
     * A stroke of length l and thickness t has the area l t and an edge of about 2 l, so its thickness is twice the area
     * over the edge. In the outline's own unit; 0 for nothing.
     */
    public static function of(Path $path): float
    {
        $chords = $path->forStroking(self::TOLERANCE);
        $edge = 0.0;
        $at = $start = [0.0, 0.0];
        foreach ($chords->segments as $segment) {
            $to = $segment[0] === 'Z' ? $start : Path::end($segment);
            if ($segment[0] === 'M') {
                $start = $to;
            } else {
                $edge += hypot($to[0] - $at[0], $to[1] - $at[1]);
            }
            $at = $to;
        }

        return $edge <= 0 ? 0.0 : 2 * abs($chords->area()) / $edge;
    }
}
