<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Image;

/**
 * A grid of points that tell where in a source each pixel comes from.
 *
 * @internal
 */
final readonly class BentGrid
{
    /**
     * A pixel that spans so many of the source along a side is the mean of so many looks along it: a bend squeezes and slants pixels, and one look would
     * miss thin lines and leave steps along slanting edges.
     */
    private const LOOKS = [[7.2, 8], [3.6, 4], [1.8, 2]];

    /** As many at most where it spans much along both. */
    private const BOTH = 4;

    /** Pixels of the sheet's grid along a side in which pixels are looked up alike, as often as the one that asks for the most. */
    public const SQUARE = 64;

    /** Squares that are drawn at once, along a side: of their part of the source alone a copy weighed by alpha is held, at twice its size. */
    private const AT_ONCE = 24;

    /** Pixels of the source about a point that the filter sees, and one for what is rounded. */
    private const RIM = 4;

    /**
     * Pixels before the source from which a map counts. Numbers of single precision lose bits as they grow, and none where whole pixels are taken from them:
     * the place that is looked up is to the last bit the same in every part.
     */
    private const BEFORE = 8;

    /** Far outside any picture. */
    private const NOWHERE = -1e6;

    /** @var list<float> x and y in pixels of the source, row by row: those of whole squares, and one more on either side */
    private array $points;

    /**
     * @param  callable(float, float): array{float, float}  $back  from inches on the sheet to pixels of the source, its first corner 0, 0
     * @param  int  $across  points in a row
     * @param  int  $step  pixels of the window between two points, a power of two
     * @param  int  $left  where on the sheet's grid of pixels the first point lies
     * @param  int  $finer  pixels of the source to one of the window's, along a side
     * @param  bool  $isSmooth  whether the way between points is a curve, and not straight
     */
    public function __construct(
        private mixed $back,
        private float $ppi,
        private int $across,
        int $down,
        private int $step,
        private int $left,
        private int $top,
        private int $finer,
        private bool $isSmooth,
    ) {
        $points = [];
        for ($j = 0; $j < $down; $j++) {
            for ($i = 0; $i < $across; $i++) {
                [$points[], $points[]] = $this->back($left + $i * $step, $top + $j * $step);
            }
        }
        $this->points = $points;
    }

    /** @return array{float, float} where the middle of a pixel comes from, as the library counts: from the middle of the first */
    private function back(int $column, int $row): array
    {
        [$x, $y] = ($this->back)(($column + 0.5) / $this->ppi, ($row + 0.5) / $this->ppi);

        return is_nan($x) || is_nan($y) ? [self::NOWHERE, self::NOWHERE] : [$x - 0.5, $y - 0.5];
    }

    public function draw(Image $source, Frame $window): Image
    {
        $cells = intdiv(self::SQUARE, $this->step);
        [$across, $down] = [intdiv($this->across - 3, $cells), intdiv(intdiv(count($this->points), 2 * $this->across) - 3, $cells)];
        $whole = $this->part($source, 1, 1, $across * $cells, $down * $cells);
        if ($whole === null) {
            return Image::empty($window->width, $window->height);
        }
        $size = [$source->width(), $source->height()];
        // Of a source that is worked out as it is asked for, no more than shows.
        $source = $source->crop(...$whole)->settled();
        $drawn = [];
        for ($j = 0; $j < $down; $j += self::AT_ONCE) {
            for ($i = 0; $i < $across; $i += self::AT_ONCE) {
                $block = new Frame(
                    $window->ppi, $this->left + $this->step + $i * self::SQUARE, $this->top + $this->step + $j * self::SQUARE,
                    min(self::AT_ONCE, $across - $i) * self::SQUARE, min(self::AT_ONCE, $down - $j) * self::SQUARE,
                );
                $own = $block->overlap($window);
                $pixels = $own === null ? null : $this->block($source, $whole, $size, $block);
                if ($own !== null && $pixels !== null) {
                    $drawn[] = [$pixels->crop($own->left - $block->left, $own->top - $block->top, $own->width, $own->height)->settled(), $own];
                }
            }
        }
        $sheet = Image::empty($window->width, $window->height);
        foreach ($drawn as [$pixels, $own]) {
            $sheet = $sheet->insert($pixels, $own->left - $window->left, $own->top - $window->top);
        }

        return $sheet->settled();
    }

    /**
     * Some whole squares.
     *
     * @param  array{int, int, int, int}  $whole  what of the source is at hand
     * @param  array{int, int}  $size  width and height of all of it
     */
    private function block(Image $source, array $whole, array $size, Frame $block): ?Image
    {
        [$column, $row] = [intdiv($block->left - $this->left, $this->step), intdiv($block->top - $this->top, $this->step)];
        [$columns, $rows] = [intdiv($block->width, $this->step), intdiv($block->height, $this->step)];
        $part = $this->part($source, $column, $row, $columns, $rows, $whole);
        if ($part === null) {
            return null;
        }
        $torn = $this->torn($column, $row, $columns, $rows, $size);
        $middles = $this->middles($column, $row, $columns, $rows, $torn, $block)->settled();
        $slope = $this->slope($column, $row, $columns, $rows, $torn);
        $from = $source->crop(...$part)->lookedUp(self::BEFORE + $whole[0] + $part[0], self::BEFORE + $whole[1] + $part[1]);
        $looked = function (string $looks) use ($from, $middles, $slope): Image {
            [$along, $downwards] = array_map(intval(...), explode(' ', $looks));
            $maps = [];
            foreach (range(1, $along) as $i) {
                foreach (range(1, $downwards) as $j) {
                    [$x, $y] = [($i - 0.5) / $along - 0.5, ($j - 0.5) / $downwards - 0.5];
                    $off = $slope->band(0, 2)->linear($x)->plus($slope->band(2, 2)->linear($y));
                    $maps[] = $x === 0.0 && $y === 0.0 ? $middles : $middles->plus($off->zoomed($this->step));
                }
            }

            return $from($maps);
        };
        $wanted = $this->looks($column, $row, $columns, $rows);
        $drawn = Image::empty($block->width, $block->height);
        foreach (array_unique($wanted) as $kind) {
            $squares = implode('', array_map(fn (string $looks): string => $looks === $kind ? "\xff" : "\0", $wanted));
            // Square by square, where it is wanted alone; one kind after another, since each look has buffers of its own.
            $drawn = Image::raw($squares, intdiv($block->width, self::SQUARE), intdiv($block->height, self::SQUARE), 1)
                ->zoomed(self::SQUARE)->chosen($looked($kind), $drawn)->inSquares(self::SQUARE)->settled();
        }

        return $drawn;
    }

    /**
     * Which cells are torn: columns by row.
     *
     * @param  array{int, int}  $size
     * @return array<int, list<int>>
     */
    private function torn(int $column, int $row, int $columns, int $rows, array $size): array
    {
        $torn = [];
        for ($j = 0; $j < $rows; $j++) {
            for ($i = 0; $i < $columns; $i++) {
                $this->isTorn($column + $i, $row + $j, $size) && $torn[$j][] = $i;
            }
        }

        return $torn;
    }

    /**
     * A map of some cells: where the middle of each pixel comes from.
     *
     * @param  array<int, list<int>>  $torn
     */
    private function middles(int $column, int $row, int $columns, int $rows, array $torn, Frame $block): Image
    {
        $numbers = [];
        // With one more on either side, which a curve looks at.
        for ($j = $row - 1; $j <= $row + $rows + 1; $j++) {
            for ($i = $column - 1; $i <= $column + $columns + 1; $i++) {
                $at = 2 * ($j * $this->across + $i);
                array_push($numbers, $this->points[$at] + self::BEFORE, $this->points[$at + 1] + self::BEFORE);
            }
        }
        $samples = Image::floats(pack('g*', ...$numbers), $columns + 3, $rows + 3, 2);
        $middles = $this->isSmooth
            ? $samples->interpolatedSmoothly($this->step, $block->width, $block->height, -$this->step)
            : $samples->interpolated($this->step, $block->width, $block->height, -$this->step);
        if ($torn === []) {
            return $middles;
        }
        [$known, $map] = $this->oneByOne($torn, $block);

        return $known->zoomed($this->step)->chosen($map, $middles);
    }

    /**
     * By how much the place in the source changes from pixel to pixel, a pixel for each of some cells: its looks lie about the middle of a pixel as
     * everywhere in it.
     *
     * @param  array<int, list<int>>  $torn
     */
    private function slope(int $column, int $row, int $columns, int $rows, array $torn): Image
    {
        $slopes = [];
        for ($j = 0; $j < $rows; $j++) {
            for ($i = 0; $i < $columns; $i++) {
                array_push($slopes, ...$this->slopes($column + $i, $row + $j, in_array($i, $torn[$j] ?? [], true)));
            }
        }

        return Image::floats(pack('g*', ...$slopes), $columns, $rows, 4);
    }

    /**
     * How many looks each square of some cells asks for.
     *
     * @return list<string> "across down", row by row
     */
    private function looks(int $column, int $row, int $columns, int $rows): array
    {
        $cells = intdiv(self::SQUARE, $this->step);
        $most = [];
        for ($j = 0; $j < $rows; $j++) {
            for ($i = 0; $i < $columns; $i++) {
                $square = intdiv($j, $cells) * intdiv($columns, $cells) + intdiv($i, $cells);
                $at = 2 * (($row + $j) * $this->across + $column + $i);
                [$right, $below, $beyond] = [$at + 2, $at + 2 * $this->across, $at + 2 * $this->across + 2];
                $most[$square] ??= [0.0, 0.0];
                $most[$square][0] = max($most[$square][0], $this->way($at, $right), $this->way($below, $beyond));
                $most[$square][1] = max($most[$square][1], $this->way($at, $below), $this->way($right, $beyond));
            }
        }
        $both = self::BOTH * $this->finer;

        return array_values(array_map(function (array $ways) use ($both): string {
            [$along, $downwards] = array_map($this->many(...), $ways);

            return min($along, $downwards) === $this->finer ? "$along $downwards" : min($both, $along).' '.min($both, $downwards);
        }, $most));
    }

    /** The square of the way between two points in the source; of what leads nowhere nothing is seen. */
    private function way(int $from, int $to): float
    {
        [$x, $toX] = [$this->points[$from], $this->points[$to]];

        return $x === self::NOWHERE || $toX === self::NOWHERE ? 0.0 : ($toX - $x) ** 2 + ($this->points[$to + 1] - $this->points[$from + 1]) ** 2;
    }

    private function many(float $way): int
    {
        foreach (self::LOOKS as [$least, $looks]) {
            if ($way > ($least * $this->step * $this->finer) ** 2) {
                return $looks * $this->finer;
            }
        }

        return $this->finer;
    }

    /**
     * Whether the points that tell the way through a cell lie on either side of a tear: a ring's ends meet behind it, and some pictures end in nothing.
     *
     * @param  array{int, int}  $size  of the source
     */
    private function isTorn(int $column, int $row, array $size): bool
    {
        $about = $this->isSmooth ? 1 : 0;
        $nowhere = 0;
        for ($j = $row - $about; $j <= $row + 1 + $about; $j++) {
            for ($i = $column - $about; $i <= $column + 1 + $about; $i++) {
                $at = 2 * ($j * $this->across + $i);
                $nowhere += $this->points[$at] === self::NOWHERE ? 1 : 0;
                foreach ([$i <= $column + $about ? $at + 2 : $at, $j <= $row + $about ? $at + 2 * $this->across : $at] as $next) {
                    if ($this->points[$at] !== self::NOWHERE && $this->points[$next] !== self::NOWHERE
                        && (2 * abs($this->points[$next] - $this->points[$at]) > $size[0] || 2 * abs($this->points[$next + 1] - $this->points[$at + 1]) > $size[1])) {
                        return true;
                    }
                }
            }
        }

        return $nowhere > 0 && $nowhere < (2 + 2 * $about) ** 2;
    }

    /**
     * Where each pixel of some cells comes from, reckoned for itself.
     *
     * @param  array<int, list<int>>  $cells  columns by row, within the block
     * @return array{Image, Image} which cells they are, and a map of the block
     */
    private function oneByOne(array $cells, Frame $block): array
    {
        [$columns, $rows] = [intdiv($block->width, $this->step), intdiv($block->height, $this->step)];
        $empty = str_repeat("\0", 8 * $this->step);
        $known = $map = '';
        for ($j = 0; $j < $rows; $j++) {
            $row = array_fill(0, $columns, "\0");
            foreach ($cells[$j] ?? [] as $i) {
                $row[$i] = "\xff";
            }
            $known .= implode('', $row);
            for ($y = 0; $y < $this->step; $y++) {
                $line = array_fill(0, $columns, $empty);
                foreach ($cells[$j] ?? [] as $i) {
                    $numbers = [];
                    for ($x = 0; $x < $this->step; $x++) {
                        array_push($numbers, ...$this->back($block->left + $i * $this->step + $x, $block->top + $j * $this->step + $y));
                    }
                    $line[$i] = pack('g*', ...array_map(fn (float $number): float => $number + self::BEFORE, $numbers));
                }
                $map .= implode('', $line);
            }
        }

        return [Image::raw($known, $columns, $rows, 1), Image::floats($map, $block->width, $block->height, 2)];
    }

    /**
     * By how much the place in the source changes from pixel to pixel in a cell: x and y on the way across, x and y on the way down.
     *
     * @return array{float, float, float, float}
     */
    private function slopes(int $column, int $row, bool $isTorn): array
    {
        if ($isTorn) {
            [$left, $top] = [$this->left + $column * $this->step, $this->top + $row * $this->step];
            $here = $this->back($left, $top);
            // Towards the side on which no tear lies between.
            $least = function (array $one, array $other) use ($here): array {
                $ways = array_map(fn (array $there): array => [$there[0] - $here[0], $there[1] - $here[1]], [$one, $other]);

                return hypot(...$ways[0]) <= hypot(...$ways[1]) ? $ways[0] : [-$ways[1][0], -$ways[1][1]];
            };

            return [...$least($this->back($left + 1, $top), $this->back($left - 1, $top)), ...$least($this->back($left, $top + 1), $this->back($left, $top - 1))];
        }
        $at = 2 * ($row * $this->across + $column);
        $below = $at + 2 * $this->across;
        [$x, $y, $rightX, $rightY] = array_slice($this->points, $at, 4);
        [$belowX, $belowY, $beyondX, $beyondY] = array_slice($this->points, $below, 4);
        $twice = 2 * $this->step;

        return [($rightX - $x + $beyondX - $belowX) / $twice, ($rightY - $y + $beyondY - $belowY) / $twice, ($belowX - $x + $beyondX - $rightX) / $twice, ($belowY - $y + $beyondY - $rightY) / $twice];
    }

    /**
     * What of the source the points of some cells see: left, top, width and height.
     *
     * @param  ?array{int, int, int, int}  $of  a part of it that is at hand instead
     * @return ?array{int, int, int, int}
     */
    private function part(Image $source, int $column, int $row, int $columns, int $rows, ?array $of = null): ?array
    {
        [$left, $top, $width, $height] = $of ?? [0, 0, $source->width(), $source->height()];
        [$x0, $y0, $x1, $y1] = [INF, INF, -INF, -INF];
        // With the points about them: looks lie about the middle of a pixel, beyond its cell, too.
        $last = intdiv(count($this->points), 2 * $this->across) - 1;
        for ($j = max(0, $row - 1); $j <= min($last, $row + $rows + 1); $j++) {
            for ($i = max(0, $column - 1); $i <= min($this->across - 1, $column + $columns + 1); $i++) {
                [$x, $y] = [$this->points[2 * ($j * $this->across + $i)], $this->points[2 * ($j * $this->across + $i) + 1]];
                if ($x > self::NOWHERE && $y > self::NOWHERE) {
                    [$x0, $y0, $x1, $y1] = [min($x0, $x), min($y0, $y), max($x1, $x), max($y1, $y)];
                }
            }
        }
        // Far beyond is as good as just beyond.
        $within = fn (float $at, int $from, int $length): int => (int) round(max(0.0, min((float) $length, $at - $from)));
        [$l, $t] = [$within(floor($x0) - self::RIM, $left, $width), $within(floor($y0) - self::RIM, $top, $height)];
        [$r, $b] = [$within(ceil($x1) + self::RIM, $left, $width), $within(ceil($y1) + self::RIM, $top, $height)];

        return $r > $l && $b > $t ? [$l, $t, $r - $l, $b - $t] : null;
    }
}
