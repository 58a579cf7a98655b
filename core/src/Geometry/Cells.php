<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/** The cells of points, each all that lies nearest to its own (Voronoi), on a square that meets itself at the edges. Worked out by GEOS. */
final class Cells
{
    /**
     * The sides of all cells that touch the square; those that cross its edge are there at both edges.
     *
     * @param  list<array{float, float}>  $points  from 0 to the side of the square
     * @return list<array{float, float, float, float}> from one end to the other
     */
    public static function sides(array $points, float $square): array
    {
        $near = 0.3 * $square;
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
