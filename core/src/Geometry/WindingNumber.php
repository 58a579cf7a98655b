<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/**
 * Winding numbers of closed contours about points: upward minus downward crossings of a ray to the right. Edges are sorted into rows, so that each point
 * only tests those of its own row: a worn picture has thousands of contours and as many faces.
 *
 * @internal
 */
final class WindingNumber
{
    private const MOST_ROWS = 4096;

    private float $top = INF;

    private float $height = 1.0;

    /** @var array<int, list<array{float, float, float, float}>> edges by row: x and y of both ends */
    private array $rows = [];

    /** @param  list<list<array{float, float}>>  $contours  closed contours */
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
        // Rows are at least as high as the mean edge, so that there are not many more entries than edges.
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
