<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;

/**
 * Resamples a source image through a warp: for each pixel of the window, BentPoints tells where in the source it comes from.
 *
 * @internal
 */
final readonly class BentGrid
{
    /** Side of a square, in pixels of the sheet's grid. All pixels of a square take the same number of samples: as many as the most demanding one needs. */
    public const SQUARE = 64;

    /** Squares along the side of a block that is drawn in one go. */
    private const AT_ONCE = 24;

    /** A block that needs more source pixels than this is split: a premultiplied 16-bit copy of that part of the source is held in memory. */
    private const PART = 1 << 23;

    /** Blocks are not split below this many squares along a side, since each block prepares its part of the source anew. */
    private const LEAST = 3;

    /**
     * Coordinates in a map are counted from this many pixels before the source, and are multiples of 1/1024. In single precision, whole pixels are added to
     * such numbers and subtracted from them without rounding (up to 16,384), so every part of a picture looks up the same place to the last bit.
     */
    private const BEFORE = 64;

    /** Coordinates are multiples of one over this. */
    private const PARTS = 1024;

    /** The Jacobian is rounded to multiples of 1/32: times a sample's offset, a multiple of 1/32 for up to 16 samples, that is one of 1/1024. */
    private const SLOPE_PARTS = 32;

    /**
     * Coordinates are clamped to this many pixels beyond the part of the source that is at hand. Where a ring's ends meet, one square sees both ends; without
     * the clamp all pixels between them would be copied.
     */
    private const BEYOND = 20;

    /** Coordinates from here on overflow the library's fixed-point arithmetic. */
    private const FAR = 1e7;

    /** Samples per pixel up to which a whole block is drawn at once: with more, the buffers of all threads would grow large. */
    private const FEW = 4;

    /** Samples of a pixel are spread over at most this many source pixels along each axis. */
    private const STEEPEST = 16.0;

    /**
     * @param  int  $finer  pixels of the source to one of the window's, along a side
     * @param  bool  $isOpaque  whether the whole source is opaque, not just the part seen here, so that a part is drawn exactly as the whole is
     */
    public function __construct(private BentPoints $points, private int $finer, private bool $isOpaque) {}

    public function draw(Image $source, Frame $window): Image
    {
        $points = $this->points;
        $cells = intdiv(self::SQUARE, $points->step);
        [$across, $down] = [intdiv($points->across - 3, $cells), intdiv($points->down - 3, $cells)];
        $size = [$source->width(), $source->height()];
        $torn = $points->torn($size);
        $whole = $points->seen(new GridCells(1, 1, $across * $cells, $down * $cells), [0, 0, ...$size], Supersampling::MOST, $torn);
        if ($whole === null) {
            return Image::empty($window->width, $window->height);
        }
        // The source may be lazy: compute only the part that shows.
        $source = $source->crop(...$whole)->settled();
        $drawn = [];
        $blocks = [new GridCells(0, 0, $across, $down)];
        while ($blocks !== []) {
            $squares = array_shift($blocks);
            $block = new Frame(
                $window->ppi, $points->left + $points->step + $squares->column * self::SQUARE, $points->top + $points->step + $squares->row * self::SQUARE,
                $squares->columns * self::SQUARE, $squares->rows * self::SQUARE,
            );
            $own = $block->overlap($window);
            $seen = new GridCells(1 + $squares->column * $cells, 1 + $squares->row * $cells, $squares->columns * $cells, $squares->rows * $cells);
            $part = $own === null ? null : $points->seen($seen, $whole, Supersampling::MOST, $torn);
            if ($own === null || $part === null) {
                continue;
            }
            $side = max($squares->columns, $squares->rows);
            if ($side > self::AT_ONCE || ($side > self::LEAST && $part[2] * $part[3] > self::PART)) {
                array_push($blocks, ...$squares->halves());

                continue;
            }
            $inside = $this->isOpaque ? $this->inside($seen, $torn, $size) : null;
            $pixels = $this->block($source, $whole, $part, $torn, $seen, $block, $inside);
            $drawn[] = [$pixels->crop($own->left - $block->left, $own->top - $block->top, $own->width, $own->height)->settled(), $own];
        }
        $sheet = Image::empty($window->width, $window->height);
        foreach ($drawn as [$pixels, $own]) {
            $sheet = $sheet->insert($pixels, $own->left - $window->left, $own->top - $window->top);
        }

        return $sheet->settled();
    }

    /**
     * Draws a block of whole squares.
     *
     * @param  array{int, int, int, int}  $whole  the part of the source that is in memory: left, top, width, height
     * @param  array{int, int, int, int}  $part  the part of it that this block needs, counted from its corner
     * @param  array<int, array<int, true>>  $torn
     * @param  ?Image  $inside  for an opaque source, one pixel for each square: 255 where none of the source's edge shows
     */
    private function block(Image $source, array $whole, array $part, array $torn, GridCells $cells, Frame $block, ?Image $inside): Image
    {
        [$left, $top] = [self::BEFORE + $whole[0] + $part[0], self::BEFORE + $whole[1] + $part[1]];
        $middles = $this->middles($cells, $torn, $block, [$left, $top], [$left + $part[2], $top + $part[3]])->settled();
        [$slope, $wanted] = $this->slopes($cells, $torn);
        $from = function (array $part) use ($source, $whole, $inside): \Closure {
            /** @var array{int, int, int, int} $part */
            [$left, $top] = [self::BEFORE + $whole[0] + $part[0], self::BEFORE + $whole[1] + $part[1]];
            $seen = $source->crop(...$part);

            return $inside === null ? $seen->lookedUp($left, $top, self::BEFORE) : $seen->lookedUpOpaque($inside->zoomed(self::SQUARE), $left, $top, self::BEFORE);
        };
        $all = $from($part);
        $looked = function (Supersampling $looks, \Closure $from) use ($middles, $slope): Image {
            [$across, $down] = [$looks->across, $looks->down];

            return $looks->count() <= self::FEW
                ? $from($this->few($middles, $slope, $across, $down), 1, 1, $looks->shrunkAcross, $looks->shrunkDown)
                : $from([$this->many($middles, $slope, $across, $down)], $across, $down, $looks->shrunkAcross, $looks->shrunkDown);
        };
        $kinds = array_unique($wanted, SORT_REGULAR);
        // If at least half of the squares need the same small number of samples, draw the whole block that way first: it is quicker than square by square.
        $usual = array_values(array_filter($kinds, fn (Supersampling $kind): bool => $kind->count() <= self::FEW && 2 * count(array_keys($wanted, $kind)) >= count($wanted)))[0] ?? null;
        $drawn = $usual === null ? Image::empty($block->width, $block->height) : $looked($usual, $all)->settled();
        // Then all others in one pass, each square by the number of samples that it needs.
        $pixels = $drawn;
        $about = null;
        foreach (array_filter($kinds, fn (Supersampling $kind): bool => $kind !== $usual) as $kind) {
            $squares = Image::raw(implode('', array_map(fn (Supersampling $looks): string => $looks == $kind ? "\xff" : "\0", $wanted)), intdiv($block->width, self::SQUARE), intdiv($block->height, self::SQUARE), 1);
            $own = $squares->inkBox() ?? [0, 0, 1, 1];
            // Only what these squares read of the source has to be box-filtered.
            $read = $kind->isFiltered() ? $this->read($cells, $own, $whole, $torn) : null;
            $pixels = $squares->zoomed(self::SQUARE)->chosen($looked($kind, $read === null ? $all : $from($read)), $pixels);
            $box = new Box($own[0], $own[1], $own[0] + $own[2], $own[1] + $own[3]);
            $about = $about === null ? $box : $about->union($box);
        }
        if ($about === null) {
            return $drawn;
        }
        $own = array_map(fn (float $of): int => (int) $of * self::SQUARE, [$about->left, $about->top, $about->width(), $about->height()]);

        return $drawn->insert($pixels->crop(...$own)->inSquares(self::SQUARE)->settled(), $own[0], $own[1])->settled();
    }

    /**
     * The part of the source that some squares of a block read.
     *
     * @param  array{int, int, int, int}  $squares  left, top, width and height, counted in squares from the block's corner
     * @param  array{int, int, int, int}  $whole
     * @param  array<int, array<int, true>>  $torn
     * @return ?array{int, int, int, int}
     */
    private function read(GridCells $cells, array $squares, array $whole, array $torn): ?array
    {
        $side = intdiv(self::SQUARE, $this->points->step);
        [$column, $row, $columns, $rows] = array_map(fn (int $of): int => $of * $side, $squares);

        return $this->points->seen(new GridCells($cells->column + $column, $cells->row + $row, $columns, $rows), $whole, Supersampling::MOST, $torn);
    }

    /**
     * One pixel for each square: 255 where the square lies well within the source.
     *
     * @param  array<int, array<int, true>>  $torn
     * @param  array{int, int}  $size
     */
    private function inside(GridCells $cells, array $torn, array $size): Image
    {
        $side = intdiv(self::SQUARE, $this->points->step);
        $within = '';
        for ($row = $cells->row; $row < $cells->row + $cells->rows; $row += $side) {
            for ($column = $cells->column; $column < $cells->column + $cells->columns; $column += $side) {
                $square = new GridCells($column, $row, $side, $side);
                $within .= $this->own($square, $torn) === [] && $this->points->liesWithin($square, $size) ? "\xff" : "\0";
            }
        }

        return Image::raw($within, intdiv($cells->columns, $side), intdiv($cells->rows, $side), 1);
    }

    /**
     * The map of some cells: for the centre of each pixel, where in the source it comes from.
     *
     * @param  array<int, array<int, true>>  $torn
     * @param  array{int, int}  $least  upper left corner of the source part in map coordinates
     * @param  array{int, int}  $most  lower right corner
     */
    private function middles(GridCells $cells, array $torn, Frame $block, array $least, array $most): Image
    {
        $numbers = [];
        $own = $this->own($cells, $torn);
        $isHeld = $own !== [];
        // The spline needs one more point on either side.
        for ($j = $cells->row - 1; $j <= $cells->row + $cells->rows + 1; $j++) {
            for ($i = $cells->column - 1; $i <= $cells->column + $cells->columns + 1; $i++) {
                [$x, $y] = $this->points->at($i, $j);
                array_push($numbers, $x + self::BEFORE, $y + self::BEFORE);
                $isHeld = $isHeld || abs($x) > self::FAR || abs($y) > self::FAR;
            }
        }
        $middles = $this->between(Image::floats(pack('g*', ...$numbers), $cells->columns + 3, $cells->rows + 3, 2), $cells, $block);
        if ($own !== []) {
            [$known, $map] = $this->oneByOne($cells, $own, $block);
            $middles = $known->zoomed($this->points->step)->chosen($map, $middles);
        }

        $middles = $middles->roundedTo(self::PARTS);

        return $isHeld ? $middles->held(array_map(fn (int $at): float => $at - self::BEYOND, $least), array_map(fn (int $at): float => $at + self::BEYOND, $most)) : $middles;
    }

    /** Interpolates the grid points (one extra at the left and top, two at the right and bottom) to single pixels. */
    private function between(Image $points, GridCells $cells, Frame $block): Image
    {
        [$step, $straight] = [$this->points->step, $this->points->straight];
        if (! $this->points->isSmooth) {
            return $points->interpolated($step, $block->width, $block->height, -$step);
        }
        if ($straight === 1) {
            return $points->interpolatedSmoothly($step, $block->width, $block->height, -$step);
        }
        // n stretches have n + 1 ends; the second extra point is only read by the interpolation, with weight 0.
        $by = intdiv($step, $straight);

        return $points->interpolatedSmoothly($by, $cells->columns * $by + 2, $cells->rows * $by + 2, -$by)->settled()->interpolated($straight, $block->width, $block->height);
    }

    /**
     * A few samples of each pixel, spread evenly over the area of the source that the pixel stands for: one map for each sample.
     *
     * @param  Image  $slope  the Jacobian, see slopes()
     * @return non-empty-list<Image>
     */
    private function few(Image $middles, Image $slope, int $across, int $down): array
    {
        $maps = [];
        foreach (self::offsets($across) as $x) {
            foreach (self::offsets($down) as $y) {
                $off = $slope->band(0, 2)->linear($x)->plus($slope->band(2, 2)->linear($y));
                $maps[] = $x === 0.0 && $y === 0.0 ? $middles : $middles->plus($off->zoomed($this->points->step));
            }
        }

        return $maps;
    }

    /** Many samples, where a map for each would take longer: all in one map, of so many pixels for each pixel. */
    private function many(Image $middles, Image $slope, int $across, int $down): Image
    {
        [$width, $height] = [$middles->width() * $across, $middles->height() * $down];
        $repeated = fn (int $many): string => pack('g*', ...array_merge(...array_fill(0, self::SQUARE, self::offsets($many))));
        // Repeated by whole squares, since repeating single pixels is slow.
        $x = Image::floats($repeated($across), self::SQUARE * $across, 1, 1)->zoomed(1, self::SQUARE * $down)->settled()->tiled(0, 0, $width, $height);
        $y = Image::floats($repeated($down), 1, self::SQUARE * $down, 1)->zoomed(self::SQUARE * $across, 1)->settled()->tiled(0, 0, $width, $height);
        $slope = $slope->zoomed($this->points->step * $across, $this->points->step * $down);

        return $middles->zoomed($across, $down)->plus($slope->band(0, 2)->multiplied($x))->plus($slope->band(2, 2)->multiplied($y));
    }

    /** @return non-empty-list<float> where samples lie along a pixel, from its centre, in pixels: (i - 0.5) / n - 0.5 for i = 1 ... n */
    private static function offsets(int $many): array
    {
        return array_map(fn (int $i): float => ($i - 0.5) / $many - 0.5, range(1, $many));
    }

    /**
     * The Jacobian of the map, one pixel for each cell (dx/dcolumn, dy/dcolumn, dx/drow, dy/drow), by which samples are spread about a pixel's centre; and
     * the supersampling of each square, row by row.
     *
     * @param  array<int, array<int, true>>  $torn
     * @return array{Image, list<Supersampling>}
     */
    private function slopes(GridCells $cells, array $torn): array
    {
        $side = intdiv(self::SQUARE, $this->points->step);
        $slopes = $squares = [];
        for ($j = 0; $j < $cells->rows; $j++) {
            for ($i = 0; $i < $cells->columns; $i++) {
                $square = intdiv($j, $side) * intdiv($cells->columns, $side) + intdiv($i, $side);
                [$column, $row] = [$cells->column + $i, $cells->row + $j];
                if (isset($torn[$row][$column])) {
                    $sides = $this->points->sidesBesideTear($column, $row);
                    $squares[$square] = [...$squares[$square] ?? [], $this->points->sidesBesideTear($column + 1, $row), $this->points->sidesBesideTear($column, $row + 1), $this->points->sidesBesideTear($column + 1, $row + 1)];
                } else {
                    $sides = $this->points->sides($column, $row);
                }
                $squares[$square][] = $sides;
                foreach ([0, 1, 4, 5] as $at) {
                    $slopes[] = round(max(-self::STEEPEST, min(self::STEEPEST, ($sides[$at] + $sides[$at + 2]) / 2)) * self::SLOPE_PARTS) / self::SLOPE_PARTS;
                }
            }
        }

        return [
            Image::floats(pack('g*', ...$slopes), $cells->columns, $cells->rows, 4),
            array_values(array_map(fn (array $sides): Supersampling => Supersampling::along($sides, $this->finer), $squares)),
        ];
    }

    /**
     * The torn cells among some cells, counted from the first of them.
     *
     * @param  array<int, array<int, true>>  $torn
     * @return array<int, list<int>>
     */
    private function own(GridCells $cells, array $torn): array
    {
        $own = [];
        for ($j = 0; $j < $cells->rows; $j++) {
            foreach ($torn[$cells->row + $j] ?? [] as $column => $_) {
                if ($column >= $cells->column && $column < $cells->column + $cells->columns) {
                    $own[$j][] = $column - $cells->column;
                }
            }
        }

        return $own;
    }

    /**
     * The map of torn cells, computed pixel by pixel instead of interpolated.
     *
     * @param  array<int, list<int>>  $torn  columns by row, counted from the first cell
     * @return array{Image, Image} a mask of the torn cells (255), and a map of the block
     */
    private function oneByOne(GridCells $cells, array $torn, Frame $block): array
    {
        $step = $this->points->step;
        $empty = str_repeat("\0", 8 * $step);
        $known = $map = '';
        for ($j = 0; $j < $cells->rows; $j++) {
            $row = array_fill(0, $cells->columns, "\0");
            foreach ($torn[$j] ?? [] as $i) {
                $row[$i] = "\xff";
            }
            $known .= implode('', $row);
            for ($y = 0; $y < $step; $y++) {
                $line = array_fill(0, $cells->columns, $empty);
                foreach ($torn[$j] ?? [] as $i) {
                    $numbers = [];
                    for ($x = 0; $x < $step; $x++) {
                        array_push($numbers, ...$this->points->back($block->left + $i * $step + $x, $block->top + $j * $step + $y));
                    }
                    $line[$i] = pack('g*', ...array_map(fn (float $number): float => $number + self::BEFORE, $numbers));
                }
                $map .= implode('', $line);
            }
        }

        return [Image::raw($known, $cells->columns, $cells->rows, 1), Image::floats($map, $block->width, $block->height, 2)];
    }
}
