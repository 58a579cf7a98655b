<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/** The Voronoi diagram of points on a square with periodic edges, computed by GEOS. */
final class Cells
{
    /** Least margin beyond the square from which points are repeated, as a share of the square; and the margin in cell widths. */
    private const LEAST_NEAR = 0.3;

    private const CELLS_NEAR = 6.0;

    /**
     * The sides of all cells that touch the square. A side that crosses the square's edge appears at both edges.
     *
     * @param  list<array{float, float}>  $points  coordinates from 0 to the side of the square
     * @return list<array{float, float, float, float}> x and y of both ends
     */
    public static function sides(array $points, float $square): array
    {
        // A cell is about as wide as the distance between points; points more than a few cells away do not matter.
        $near = $square * min(1.0, max(self::LEAST_NEAR, self::CELLS_NEAR / sqrt(max(1, count($points)))));
        $all = [];
        foreach ([-$square, 0.0, $square] as $dx) {
            foreach ([-$square, 0.0, $square] as $dy) {
                foreach ($points as [$x, $y]) {
                    if ($x + $dx > -$near && $x + $dx < $square + $near && $y + $dy > -$near && $y + $dy < $square + $near) {
                        $all[] = [$x + $dx, $y + $dy];
                    }
                }
            }
        }
        $sides = [];
        foreach ($all === [] ? [] : Geos::cells($all) as [$x, $y, $toX, $toY]) {
            if (max($x, $toX) > 0 && min($x, $toX) < $square && max($y, $toY) > 0 && min($y, $toY) < $square) {
                $sides[] = [$x, $y, $toX, $toY];
            }
        }

        return $sides;
    }
}
