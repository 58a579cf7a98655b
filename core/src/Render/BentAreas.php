<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Geometry\Box;

/**
 * Divides the sheet into areas by how closely a warp's inverse map has to be computed. About a ring's centre, for example, the map changes from pixel to
 * pixel, while elsewhere points 64 pixels apart do. The areas depend on the whole picture only, so that a part is equal to the crop of the whole.
 *
 * @internal
 */
final readonly class BentAreas
{
    /** Candidate distances, in pixels, between the points at which the inverse map is computed; the largest that keeps within ASTRAY is used. */
    private const STEPS = [64, 32, 16, 8];

    /** Greatest error, in source pixels, of a place interpolated between points. */
    private const ASTRAY = 0.08;

    /** Where no step keeps within that, cells are computed pixel by pixel if a place in them is off by more than this many source pixels. */
    public const FAR_ASTRAY = 0.5;

    /** Weights of a Catmull-Rom spline at t = 1/2 (Catmull and Rom, 1974), by the point's place before or after the centre of a cell. */
    public const SPLINE = [-1 => -1 / 16, 0 => 9 / 16, 1 => 9 / 16, 2 => -1 / 16];

    /** Candidate distances, in window pixels, over which the spline is approximated by straight lines, since evaluating the spline at every pixel is slow. */
    private const NEAR = [8, 4];

    private const NEARLY = 0.01;

    /** Probes along each side of the area that is tried. */
    private const PROBES = 14;

    /** If a step fails in no more than this share of an area, it is used around that part. */
    private const PART = 0.3;

    /** If it fails in no more than this share of the columns or rows of probes, an area is halved. */
    private const FEW = 0.4;

    /** Longest step, in pixels, for which that pays: longer ones leave few points anyway. */
    private const SHORT = 16;

    /** Least length of an area, in pixels, that is halved: of a shorter one each half would have few points, too near to one another. */
    private const LONG = 8.0 * BentGrid::SQUARE;

    /** Greatest distance between points, in pixels, at which torn cells count as well drawn. */
    private const TORN = 16.0;

    /** Bounds of the outermost area, in pixels, a multiple of a square's side: further out than any window. */
    private const FAR = 1 << 24;

    /**
     * @param  \Closure(float, float): array{float, float}  $back  from inches on the sheet to pixels of the source
     * @param  array{int, int}  $size  of the source, in pixels
     * @param  int  $finer  source pixels to a window pixel along a side
     */
    private function __construct(private \Closure $back, private array $size, private float $ppi, private int $finer) {}

    /**
     * @param  callable(float, float): array{float, float}  $back  from inches on the sheet to pixels of the source
     * @param  array{int, int}  $size  of the source, in pixels
     * @param  Box  $whole  where the bent picture lies, in inches on the sheet
     * @param  int  $finer  source pixels to a window pixel along a side
     * @return list<BentArea> areas that do not overlap and together cover every window
     */
    public static function of(callable $back, array $size, Box $whole, float $ppi, int $finer): array
    {
        return (new self($back(...), $size, $ppi, $finer))->divided(new Frame($ppi, -self::FAR, -self::FAR, 2 * self::FAR, 2 * self::FAR), $whole, 0);
    }

    /**
     * @param  Box  $box  the part of the frame that is probed, in inches
     * @param  int  $from  index of the first step to try
     * @param  bool  $isHalved  whether the area was halved before, or lies within another
     * @return list<BentArea>
     */
    private function divided(Frame $frame, Box $box, int $from, bool $isHalved = false): array
    {
        $most = max(1.0, min($box->width(), $box->height()) * $this->ppi / 4);
        $tried = $box;
        for ($at = $from; $at < count(self::STEPS); $at++) {
            $step = intdiv(self::STEPS[$at], $this->finer);
            if ($step > $most) {
                continue;
            }
            // Where a longer step failed, the probes are set more densely.
            $failing = $this->failing($tried, $step / $this->ppi, true, self::ASTRAY);
            if ($failing === null) {
                return [new BentArea($frame, $step, true, $this->straight($box, $step, null))];
            }
            if ($this->failing($tried, $step / $this->ppi, false, self::ASTRAY) === null) {
                return [new BentArea($frame, $step, false, 1)];
            }
            $inner = $this->squares($failing->bounds)->overlap($frame);
            if ($inner !== null && $inner->width * $inner->height <= self::PART * $box->width() * $box->height() * $this->ppi ** 2) {
                $straight = $this->straight($box, $step, $inner);
                $about = array_map(fn (Frame $around): BentArea => new BentArea($around, $step, true, $straight), self::about($frame, $inner));

                return [...$about, ...$this->divided($inner, $this->inches($inner), $at + 1, true)];
            }
            // They may lie along two sides, as at the ends of a swelling: then each half has a part of its own.
            $isBeside = $failing->columns <= $failing->rows;
            $isLong = ($isBeside ? $box->width() : $box->height()) * $this->ppi >= self::LONG;
            if (! $isHalved && $isLong && $step <= self::SHORT && min($failing->columns, $failing->rows) <= self::FEW * self::PROBES) {
                return array_merge(...array_map(fn (array $half): array => $this->divided(...[...$half, $from, true]), $this->halves($frame, $box, $isBeside)));
            }
            $tried = $failing->bounds;
        }

        // Also a divisor of a square's side. Cells that are still off are computed pixel by pixel.
        return [new BentArea($frame, min(2 ** (int) log($most, 2), intdiv(self::STEPS[count(self::STEPS) - 1], $this->finer)), true, 1, true)];
    }

    /**
     * The halves of an area, divided between squares, and what is probed of each.
     *
     * @param  bool  $isBeside  left and right, otherwise upper and lower
     * @return array{array{Frame, Box}, array{Frame, Box}}
     */
    private function halves(Frame $frame, Box $box, bool $isBeside): array
    {
        $middle = BentGrid::SQUARE * (int) round(($isBeside ? $box->centreX() : $box->centreY()) * $this->ppi / BentGrid::SQUARE);
        $at = $middle / $this->ppi;

        return $isBeside ? [
            [new Frame($frame->ppi, $frame->left, $frame->top, $middle - $frame->left, $frame->height), new Box($box->left, $box->top, $at, $box->bottom)],
            [new Frame($frame->ppi, $middle, $frame->top, $frame->left + $frame->width - $middle, $frame->height), new Box($at, $box->top, $box->right, $box->bottom)],
        ] : [
            [new Frame($frame->ppi, $frame->left, $frame->top, $frame->width, $middle - $frame->top), new Box($box->left, $box->top, $box->right, $at)],
            [new Frame($frame->ppi, $frame->left, $middle, $frame->width, $frame->top + $frame->height - $middle), new Box($box->left, $at, $box->right, $box->bottom)],
        ];
    }

    /** Window pixels over which the spline may be approximated by straight lines, outside a part that is drawn otherwise. */
    private function straight(Box $box, int $step, ?Frame $but): int
    {
        foreach (self::NEAR as $near) {
            if ($near < $step && $this->failing($box, $near / $this->ppi, false, self::NEARLY, $but === null ? null : $this->inches($but)) === null) {
                return $near;
            }
        }

        return 1;
    }

    /**
     * The probes of a box where the interpolation is off by more than a limit; null if there are none.
     *
     * @param  float  $side  distance between two points, in inches
     * @param  float  $limit  in source pixels
     * @param  ?Box  $but  probes within it do not count
     */
    private function failing(Box $box, float $side, bool $isSmooth, float $limit, ?Box $but = null): ?AstrayProbes
    {
        [$across, $down] = [($box->width() + $side) / (self::PROBES - 1), ($box->height() + $side) / (self::PROBES - 1)];
        $failing = null;
        $columns = $rows = [];
        for ($j = 0; $j < self::PROBES; $j++) {
            for ($i = 0; $i < self::PROBES; $i++) {
                [$x, $y] = [$box->left - $side + $across * $i, $box->top - $side + $down * $j];
                $counts = $but === null || $x < $but->left || $x > $but->right - $side || $y < $but->top || $y > $but->bottom - $side;
                if ($counts && $this->astray($x, $y, $side, $isSmooth) > $limit) {
                    $cell = new Box($x - $across, $y - $down, $x + $side + $across, $y + $side + $down);
                    $failing = $failing === null ? $cell : $failing->union($cell);
                    $columns[$i] = $rows[$j] = true;
                }
            }
        }

        return $failing === null ? null : new AstrayProbes($failing, count($columns), count($rows));
    }

    /**
     * The error of the interpolation at the centre of a cell, in source pixels: of the bicubic spline through 4 × 4 points, or bilinear between the inner
     * four. Torn cells are computed pixel by pixel, without error; but if the cells are large, that takes long, and the error is infinite.
     */
    private function astray(float $x, float $y, float $side, bool $isSmooth): float
    {
        $weights = $isSmooth ? self::SPLINE : [0 => 1 / 2, 1 => 1 / 2];
        [$offX, $offY] = ($this->back)($x + $side / 2, $y + $side / 2);
        $before = [];
        foreach ($weights as $row => $above) {
            $last = null;
            foreach ($weights as $column => $beside) {
                $at = ($this->back)($x + $column * $side, $y + $row * $side);
                if (($last !== null && $this->isTorn($last, $at)) || (isset($before[$column]) && $this->isTorn($before[$column], $at))) {
                    return $side * $this->ppi > self::TORN ? INF : 0.0;
                }
                $last = $before[$column] = $at;
                $offX -= $above * $beside * $at[0];
                $offY -= $above * $beside * $at[1];
            }
        }
        $off = hypot($offX, $offY);

        // From nowhere: nothing shows.
        return is_nan($off) ? 0.0 : $off;
    }

    /**
     * Whether a discontinuity lies between two places, by the rule of BentPoints::torn().
     *
     * @param  array{float, float}  $one
     * @param  array{float, float}  $other
     */
    private function isTorn(array $one, array $other): bool
    {
        [$isNowhere, $isOtherNowhere] = [is_nan($one[0]) || is_nan($one[1]), is_nan($other[0]) || is_nan($other[1])];

        return $isNowhere || $isOtherNowhere
            ? $isNowhere !== $isOtherNowhere
            : abs($other[0] - $one[0]) > $this->size[0] / 2 || abs($other[1] - $one[1]) > $this->size[1] / 2;
    }

    /** A box in inches, drawn out to whole squares. */
    private function squares(Box $box): Frame
    {
        $side = BentGrid::SQUARE;
        $first = fn (float $at): int => (int) floor($at * $this->ppi / $side) * $side;
        $last = fn (float $at): int => (int) ceil($at * $this->ppi / $side) * $side;

        return new Frame($this->ppi, $first($box->left), $first($box->top), $last($box->right) - $first($box->left), $last($box->bottom) - $first($box->top));
    }

    private function inches(Frame $frame): Box
    {
        return new Box($frame->left / $this->ppi, $frame->top / $this->ppi, ($frame->left + $frame->width) / $this->ppi, ($frame->top + $frame->height) / $this->ppi);
    }

    /** @return list<Frame> what lies around the inner frame: above, below, left and right of it */
    private static function about(Frame $frame, Frame $inner): array
    {
        [$right, $bottom] = [$inner->left + $inner->width, $inner->top + $inner->height];
        $around = [
            [$frame->left, $frame->top, $frame->width, $inner->top - $frame->top],
            [$frame->left, $bottom, $frame->width, $frame->top + $frame->height - $bottom],
            [$frame->left, $inner->top, $inner->left - $frame->left, $inner->height],
            [$right, $inner->top, $frame->left + $frame->width - $right, $inner->height],
        ];

        return array_map(
            fn (array $of): Frame => new Frame($frame->ppi, ...$of),
            array_values(array_filter($around, fn (array $of): bool => $of[2] > 0 && $of[3] > 0)),
        );
    }
}
