<?php

declare(strict_types=1);

namespace TallCrow\Render;

/**
 * A grid of points on the sheet, each with the place in the source that it comes from. Four neighbouring points bound a cell.
 *
 * @internal
 */
final readonly class BentPoints
{
    /** Source pixels that the interpolation reads on each side of a place, and one for rounding, each of up to so many where the source is box-filtered. */
    private const RIM = 4 * Supersampling::MOST;

    /** A place this many pixels from the source's edge lies well within it, apart from the overshoot of the spline. */
    private const WITHIN = 8.0;

    /** Stands for "comes from nowhere": far outside any picture. */
    private const NOWHERE = -1e6;

    /** @var list<float> x and y in source pixels, row by row */
    private array $points;

    /**
     * @param  callable(float, float): array{float, float}  $back  from inches on the sheet to pixels of the source, its first corner 0, 0
     * @param  int  $across  points in a row
     * @param  int  $down  rows of points
     * @param  int  $step  window pixels between two points, a power of two
     * @param  int  $left  column of the first point on the sheet's pixel grid
     * @param  bool  $isSmooth  whether points are joined by a cubic spline instead of straight lines
     * @param  int  $straight  window pixels over which the spline may be approximated by straight lines, a power of two
     * @param  bool  $isChecked  whether cells that are interpolated too far off count as torn
     */
    public function __construct(
        private mixed $back,
        private float $ppi,
        public int $across,
        public int $down,
        public int $step,
        public int $left,
        public int $top,
        public bool $isSmooth,
        public int $straight = 1,
        private bool $isChecked = false,
    ) {
        $points = [];
        for ($j = 0; $j < $down; $j++) {
            for ($i = 0; $i < $across; $i++) {
                [$points[], $points[]] = $this->back($left + $i * $step, $top + $j * $step);
            }
        }
        $this->points = $points;
    }

    /** @return array{float, float} where the centre of a pixel comes from, in the library's coordinates: the centre of the first pixel is 0, 0 */
    public function back(int $column, int $row): array
    {
        [$x, $y] = ($this->back)(($column + 0.5) / $this->ppi, ($row + 0.5) / $this->ppi);

        return is_nan($x) || is_nan($y) ? [self::NOWHERE, self::NOWHERE] : [$x - 0.5, $y - 0.5];
    }

    /** @return array{float, float} */
    public function at(int $column, int $row): array
    {
        $at = 2 * ($row * $this->across + $column);

        return [$this->points[$at], $this->points[$at + 1]];
    }

    /**
     * Which cells are torn, columns by row: the points by which such a cell is interpolated lie on different sides of a discontinuity, as where a ring's
     * ends meet, or where a warp is defined on one side only.
     *
     * @param  array{int, int}  $size  of the source
     * @return array<int, array<int, true>>
     */
    public function torn(array $size): array
    {
        // The spline also uses points one cell further off.
        $about = $this->isSmooth ? 1 : 0;
        $torn = [];
        $tear = function (int $column, int $row, int $right, int $below) use (&$torn, $about): void {
            for ($j = $row - $about - $right; $j <= $row + $about; $j++) {
                for ($i = $column - $about - $below; $i <= $column + $about; $i++) {
                    $torn[$j][$i] = true;
                }
            }
        };
        $most = [$size[0] / 2, $size[1] / 2];
        $at = 0;
        for ($j = 0; $j < $this->down; $j++) {
            for ($i = 0; $i < $this->across; $i++) {
                $i + 1 < $this->across && $this->liesBetween($at, $at + 2, $most) && $tear($i, $j, 1, 0);
                $j + 1 < $this->down && $this->liesBetween($at, $at + 2 * $this->across, $most) && $tear($i, $j, 0, 1);
                $at += 2;
            }
        }
        for ($j = 1; $this->isChecked && $j < $this->down - 2; $j++) {
            for ($i = 1; $i < $this->across - 2; $i++) {
                if (! isset($torn[$j][$i]) && $this->astray($i, $j) > BentAreas::FAR_ASTRAY) {
                    $torn[$j][$i] = true;
                }
            }
        }

        return $torn;
    }

    /** How far off a cell's centre is interpolated by the spline, in source pixels. */
    private function astray(int $column, int $row): float
    {
        $half = $this->step / 2;
        [$x, $y] = ($this->back)(($this->left + $column * $this->step + $half + 0.5) / $this->ppi, ($this->top + $row * $this->step + $half + 0.5) / $this->ppi);
        [$offX, $offY] = [$x - 0.5, $y - 0.5];
        foreach (BentAreas::SPLINE as $below => $down) {
            foreach (BentAreas::SPLINE as $beside => $across) {
                $at = 2 * (($row + $below) * $this->across + $column + $beside);
                $offX -= $down * $across * $this->points[$at];
                $offY -= $down * $across * $this->points[$at + 1];
            }
        }
        $off = hypot($offX, $offY);

        return is_nan($off) ? 0.0 : $off;
    }

    /**
     * Whether a discontinuity lies between two points.
     *
     * @param  array{float, float}  $most  the largest distance in the source that counts as continuous
     */
    private function liesBetween(int $one, int $other, array $most): bool
    {
        [$x, $toX] = [$this->points[$one], $this->points[$other]];
        if ($x === self::NOWHERE || $toX === self::NOWHERE) {
            return $x !== $toX;
        }

        return abs($toX - $x) > $most[0] || abs($this->points[$other + 1] - $this->points[$one + 1]) > $most[1];
    }

    /**
     * The change in source x and y per window pixel along a cell's upper, lower, left and right side. All 0 where a corner comes from nowhere, since nothing
     * shows there.
     *
     * @return array{float, float, float, float, float, float, float, float}
     */
    public function sides(int $column, int $row): array
    {
        $at = 2 * ($row * $this->across + $column);
        $below = $at + 2 * $this->across;
        [$x, $y, $rightX, $rightY] = [$this->points[$at], $this->points[$at + 1], $this->points[$at + 2], $this->points[$at + 3]];
        [$belowX, $belowY, $beyondX, $beyondY] = [$this->points[$below], $this->points[$below + 1], $this->points[$below + 2], $this->points[$below + 3]];
        if ($x === self::NOWHERE || $rightX === self::NOWHERE || $belowX === self::NOWHERE || $beyondX === self::NOWHERE) {
            return [0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        }
        $step = $this->step;

        return [
            ($rightX - $x) / $step, ($rightY - $y) / $step, ($beyondX - $belowX) / $step, ($beyondY - $belowY) / $step,
            ($belowX - $x) / $step, ($belowY - $y) / $step, ($beyondX - $rightX) / $step, ($beyondY - $rightY) / $step,
        ];
    }

    /**
     * The same at a corner of a torn cell, from the neighbouring pixels on the side without the discontinuity.
     *
     * @return array{float, float, float, float, float, float, float, float}
     */
    public function sidesBesideTear(int $column, int $row): array
    {
        [$left, $top] = [$this->left + $column * $this->step, $this->top + $row * $this->step];
        $here = $this->back($left, $top);
        $least = function (array $one, array $other) use ($here): array {
            $ways = array_map(fn (array $there): array => [$there[0] - $here[0], $there[1] - $here[1]], [$one, $other]);

            return hypot(...$ways[0]) <= hypot(...$ways[1]) ? $ways[0] : [-$ways[1][0], -$ways[1][1]];
        };
        $across = $least($this->back($left + 1, $top), $this->back($left - 1, $top));
        $down = $least($this->back($left, $top + 1), $this->back($left, $top - 1));

        return [...$across, ...$across, ...$down, ...$down];
    }

    /**
     * Whether all of some cells lies well within the source: further from its edge than the spline may overshoot and a pixel may reach.
     *
     * @param  array{int, int}  $size  of the source
     */
    public function liesWithin(GridCells $cells, array $size): bool
    {
        [$x0, $y0, $x1, $y1] = [INF, INF, -INF, -INF];
        for ($j = $cells->row - 1; $j <= $cells->row + $cells->rows + 1; $j++) {
            for ($i = $cells->column - 1; $i <= $cells->column + $cells->columns + 1; $i++) {
                [$x, $y] = $this->at($i, $j);
                [$x0, $y0, $x1, $y1] = [min($x0, $x), min($y0, $y), max($x1, $x), max($y1, $y)];
            }
        }
        $room = self::WITHIN + max($x1 - $x0, $y1 - $y0) / 4;

        return $x0 > $room && $y0 > $room && $x1 < $size[0] - $room && $y1 < $size[1] - $room;
    }

    /**
     * The part of the source that some cells read: left, top, width and height, rounded outwards to a grid of so many pixels.
     *
     * @param  array{int, int, int, int}  $of  the part that is in memory
     * @param  array<int, array<int, true>>  $torn  see torn()
     * @return ?array{int, int, int, int}
     */
    public function seen(GridCells $cells, array $of, int $grid, array $torn): ?array
    {
        [$left, $top, $width, $height] = $of;
        [$x0, $y0, $x1, $y1] = [INF, INF, -INF, -INF];
        // Include the surrounding points: samples of a pixel may lie beyond its cell.
        for ($j = max(0, $cells->row - 1); $j <= min($this->down - 1, $cells->row + $cells->rows + 1); $j++) {
            for ($i = max(0, $cells->column - 1); $i <= min($this->across - 1, $cells->column + $cells->columns + 1); $i++) {
                [$x, $y] = $this->at($i, $j);
                if ($x > self::NOWHERE && $y > self::NOWHERE) {
                    [$x0, $y0, $x1, $y1] = [min($x0, $x), min($y0, $y), max($x1, $x), max($y1, $y)];
                }
                if (isset($torn[$j][$i])) {
                    foreach ($this->inside($i, $j) as [$x, $y]) {
                        [$x0, $y0, $x1, $y1] = [min($x0, $x), min($y0, $y), max($x1, $x), max($y1, $y)];
                    }
                }
            }
        }
        // Clamp: places far beyond the source need no more of it than places just beyond.
        $within = fn (float $at, int $from, int $length): int => (int) round(max(0.0, min((float) $length, $at - $from)));
        $first = fn (float $at, int $from, int $length): int => intdiv($within(floor($at) - self::RIM, $from, $length), $grid) * $grid;
        $last = fn (float $at, int $from, int $length): int => min($length, intdiv($within(ceil($at) + self::RIM, $from, $length) + $grid - 1, $grid) * $grid);
        [$l, $t, $r, $b] = [$first($x0, $left, $width), $first($y0, $top, $height), $last($x1, $left, $width), $last($y1, $top, $height)];

        return $r > $l && $b > $t ? [$l, $t, $r - $l, $b - $t] : null;
    }

    /**
     * Places within a torn cell that its corners do not bound, such as those about the centre of a ring: every other pixel each way.
     *
     * @return iterable<array{float, float}>
     */
    private function inside(int $column, int $row): iterable
    {
        [$left, $top] = [$this->left + $column * $this->step, $this->top + $row * $this->step];
        for ($y = 0; $y < $this->step; $y += 2) {
            for ($x = 0; $x < $this->step; $x += 2) {
                $place = $this->back($left + $x, $top + $y);
                if ($place[0] > self::NOWHERE && $place[1] > self::NOWHERE) {
                    yield $place;
                }
            }
        }
    }
}
