<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * How often closed contours go round points: crossings of a ray to the right, up less down. Edges are held in rows by where they lie, so that each
 * point looks at those of its own row alone: a worn picture has thousands of contours, and as many faces to ask about.
 *
 * @internal
 */
final class WindingNumber
{
    private const MOST_ROWS = 4096;

    private float $top = INF;

    private float $height = 1.0;

    /** @var array<int, list<array{float, float, float, float}>> edges by row, each from its x and y to its x and y */
    private array $rows = [];

    /** @param  list<list<array{float, float}>>  $contours  each ending where it began */
    public function __construct(array $contours)
    {
        [$bottom, $rise, $count] = [-INF, 0.0, 0];
        foreach ($contours as $contour) {
            $last = $contour[0][1];
            foreach ($contour as [, $y]) {
                [$this->top, $bottom] = [min($this->top, $y), max($bottom, $y)];
                [$rise, $count, $last] = [$rise + abs($y - $last), $count + 1, $y];
            }
        }
        if ($count === 0) {
            return;
        }
        // No lower than what an edge rises on the whole: then there are not many more entries than edges.
        $this->height = max(($bottom - $this->top) / self::MOST_ROWS, $rise / $count, 1e-12);
        foreach ($contours as $contour) {
            [$ax, $ay] = $contour[0];
            foreach ($contour as [$bx, $by]) {
                if ($ay !== $by) {
                    for ($row = $this->row(min($ay, $by)), $to = $this->row(max($ay, $by)); $row <= $to; $row++) {
                        $this->rows[$row][] = [$ax, $ay, $bx, $by];
                    }
                }
                [$ax, $ay] = [$bx, $by];
            }
        }
    }

    public function about(float $x, float $y): int
    {
        $winding = 0;
        foreach ($this->rows[$this->row($y)] ?? [] as [$ax, $ay, $bx, $by]) {
            if (($ay <= $y) !== ($by <= $y) && ($ax + ($y - $ay) / ($by - $ay) * ($bx - $ax)) > $x) {
                $winding += $by > $ay ? 1 : -1;
            }
        }

        return $winding;
    }

    private function row(float $y): int
    {
        return (int) floor(($y - $this->top) / $this->height);
    }
}
