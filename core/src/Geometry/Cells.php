<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/** The cells of points, each all that lies nearest to its own (Voronoi), on a square that meets itself at the edges. Worked out by GEOS. */
final class Cells
{
    /** Share of the square beyond its edge from which points are taken, at least, and cells that this is broad. */
    private const LEAST_NEAR = 0.3;

    private const CELLS_NEAR = 6.0;

    /**
     * The sides of all cells that touch the square; those that cross its edge are there at both edges.
     *
     * @param  list<array{float, float}>  $points  from 0 to the side of the square
     * @return list<array{float, float, float, float}> from one end to the other
     */
    public static function sides(array $points, float $square): array
    {
        // Cells are about as broad as points lie apart: beyond a few of them nothing bears on the square any more.
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
