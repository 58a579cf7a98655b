<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use FFI\CData;

/**
 * Writes flattened outlines into cairo's path so that the drawn coverage is exact. Cairo takes 15 scanline samples per pixel row and computes each one's
 * horizontal extent exactly; a horizontal edge between two samples is therefore off by up to half a sample, 8 of 255 levels. Nearly horizontal edges are
 * split at every pixel column, and each part is tilted about its midpoint until it rises by exactly one sample: it covers the same area, and where the
 * sample line crosses it encodes how much.
 *
 * @internal
 */
final class CanvasPath
{
    /** Samples per pixel row. */
    private const SAMPLES = 15;

    /** Largest slope of an edge that counts as nearly horizontal. Steeper edges cross so many samples that their errors cancel out to 1.5 levels. */
    private const LEVEL = 1 / self::SAMPLES;

    /** Greatest distance, in pixels, of a chord from its arc. */
    private const TOLERANCE = 0.008;

    /** Numbers to buffer before they are added to cairo's path: a long brush stroke has millions. */
    private const AT_ONCE = 200_000;

    /** @var list<float> path elements in cairo's layout: header, padding, x, y */
    private array $numbers = [];

    private float $x = 0.0;

    private float $y = 0.0;

    private readonly float $move;

    private readonly float $line;

    private readonly float $close;

    /** @param  CData  $context  the context whose path is extended */
    public function __construct(
        private readonly CData $context,
        private readonly int $width,
        private readonly int $height,
    ) {
        [$this->move, $this->line, $this->close] = [Cairo::head(Cairo::MOVE, 2), Cairo::head(Cairo::LINE, 2), Cairo::head(Cairo::CLOSE, 1)];
    }

    /** Adds the buffered numbers to cairo's path. A call for each point would take longer than the drawing. */
    public function finish(): void
    {
        Cairo::append($this->context, $this->numbers);
        $this->numbers = [];
    }

    /** @param  list<float>  $points  x and y of each corner in turn; the last is joined to the first */
    public function closed(array $points): void
    {
        $this->begin($points[0], $points[1]);
        for ($i = 2, $n = count($points); $i < $n; $i += 2) {
            $this->edge($points[$i], $points[$i + 1]);
        }
        $this->edge($points[0], $points[1]);
        $this->close();
    }

    /** @param  list<float>  $points  corners of lines that are all horizontal or vertical, which cairo computes exactly */
    public function straight(array $points): void
    {
        $this->begin($points[0], $points[1]);
        for ($i = 2, $n = count($points); $i < $n; $i += 2) {
            $this->line($points[$i], $points[$i + 1]);
        }
        $this->close();
    }

    /**
     * A stroke of a closed line: an offset on either side, with an arc at outer corners, and through the corner itself at inner ones, so that all parts wind
     * the
     * same way and unite under the nonzero rule.
     *
     * @param  list<float>  $points  x and y of each in turn; the last is joined to the first
     */
    public function along(array $points, float $half): void
    {
        $there = self::chords($points, true, $half);
        if ($there !== []) {
            $this->round($there, $half);
            $this->round(self::back($there), $half);
        }
    }

    /**
     * An area grown by a distance.
     *
     * @param  list<float>  $points  x and y of each corner in turn, with the area on the left, as in a Region
     */
    public function grown(array $points, float $by): void
    {
        $chords = self::chords($points, true, $by);
        if ($chords !== []) {
            $this->round($chords, $by);
        }
    }

    /**
     * A stroke of an open line.
     *
     * @param  list<float>  $points  x and y of each in turn
     * @param  bool  $isRound  whether its caps are round instead of butt
     */
    public function brushed(array $points, float $half, bool $isRound): void
    {
        $there = self::chords($points, false, $half);
        if ($there === []) {
            $isRound && $this->closed(self::arc($points[0], $points[1], $half, 0.0, 2 * M_PI, $half));

            return;
        }
        $this->begin($there[0][0] + $there[0][4], $there[0][1] + $there[0][5]);
        foreach ([$there, self::back($there)] as $chords) {
            $this->side($chords, $half);
            [, , $x, $y, $nx, $ny] = $chords[count($chords) - 1];
            $this->edge($x + $nx, $y + $ny);
            $isRound ? $this->turn($x, $y, $nx, $ny, M_PI, $half) : $this->edge($x - $nx, $y - $ny);
        }
        $this->close();
    }

    /** @param  non-empty-list<array{float, float, float, float, float, float, float}>  $chords */
    private function round(array $chords, float $half): void
    {
        // Start at the middle of the last chord.
        $last = $chords[count($chords) - 1];
        [$x, $y] = [($last[0] + $last[2]) / 2 + $last[4], ($last[1] + $last[3]) / 2 + $last[5]];
        $this->begin($x, $y);
        $this->side([$last, ...$chords], $half);
        $this->edge($x, $y);
        $this->close();
    }

    /**
     * @param  non-empty-list<array{float, float, float, float, float, float, float}>  $chords
     * @return non-empty-list<array{float, float, float, float, float, float, float}> the same chords in reverse
     */
    private static function back(array $chords): array
    {
        return array_map(fn (array $chord): array => [$chord[2], $chord[3], $chord[0], $chord[1], -$chord[4], -$chord[5], $chord[6]], array_reverse($chords));
    }

    /**
     * Follows the offset up to the corner before the last chord.
     *
     * @param  non-empty-list<array{float, float, float, float, float, float, float}>  $chords
     */
    private function side(array $chords, float $half): void
    {
        $square = $half * $half;
        // Cosine (times the squared half width) above which an arc is left out: the unrounded corner stands out by less than the tolerance.
        $smooth = $square * (2 * ($half / ($half + self::TOLERANCE)) ** 2 - 1);
        [, , , , $fromX, $fromY, $before] = $chords[0];
        for ($i = 1, $n = count($chords); $i < $n; $i++) {
            [$x, $y, , , $toX, $toY, $length] = $chords[$i];
            $turn = $fromX * $toY - $fromY * $toX;
            $alike = $fromX * $toX + $fromY * $toY;
            // The intersection of both offset edges. At an inner corner it is used only if it lies within both chords.
            if ($turn >= 0 ? $alike > $smooth : -2 * $half * $turn < ($square + $alike) * min($before, $length)) {
                $share = $square / ($square + $alike);
                $this->edge($x + ($fromX + $toX) * $share, $y + ($fromY + $toY) * $share);
            } else {
                $this->edge($x + $fromX, $y + $fromY);
                if ($turn >= 0) {
                    $this->turn($x, $y, $fromX, $fromY, atan2($turn, $alike), $half);
                } else {
                    $this->line($x, $y);
                    $this->line($x + $toX, $y + $toY);
                }
            }
            [$fromX, $fromY, $before] = [$toX, $toY, $length];
            count($this->numbers) < self::AT_ONCE || $this->finish();
        }
    }

    /** Continues along an arc about a point. */
    private function turn(float $x, float $y, float $fromX, float $fromY, float $turn, float $half): void
    {
        $points = self::arc($x, $y, $fromX, $fromY, $turn, $half);
        for ($i = 2, $n = count($points); $i < $n; $i += 2) {
            $this->edge($points[$i], $points[$i + 1]);
        }
    }

    /**
     * Start, end, offset vector and length of each chord.
     *
     * @param  list<float>  $points
     * @return list<array{float, float, float, float, float, float, float}>
     */
    private static function chords(array $points, bool $isClosed, float $half): array
    {
        if ($isClosed) {
            [$points[], $points[]] = [$points[0], $points[1]];
        }
        $chords = [];
        [$x, $y] = $points;
        for ($i = 2, $n = count($points); $i < $n; $i += 2) {
            [$dx, $dy] = [$points[$i] - $x, $points[$i + 1] - $y];
            $length = hypot($dx, $dy);
            if ($length > 0) {
                $chords[] = [$x, $y, $points[$i], $points[$i + 1], $dy / $length * $half, -$dx / $length * $half, $length];
                [$x, $y] = [$points[$i], $points[$i + 1]];
            }
        }

        return $chords;
    }

    /**
     * Points of an arc about a point, including both ends.
     *
     * @param  float  $turn  radians from the start, positive from the x axis to the y axis
     * @return list<float>
     */
    private static function arc(float $x, float $y, float $fromX, float $fromY, float $turn, float $half): array
    {
        $count = max(1, (int) ceil($turn / (2 * acos(max(0.0, 1 - self::TOLERANCE / $half)))));
        $points = [$x + $fromX, $y + $fromY];
        for ($i = 1; $i <= $count; $i++) {
            [$cos, $sin] = [cos($turn * $i / $count), sin($turn * $i / $count)];
            array_push($points, $x + $fromX * $cos - $fromY * $sin, $y + $fromX * $sin + $fromY * $cos);
        }

        return $points;
    }

    private function begin(float $x, float $y): void
    {
        count($this->numbers) < self::AT_ONCE || $this->finish();
        array_push($this->numbers, $this->move, 0.0, $x, $y);
        [$this->x, $this->y] = [$x, $y];
    }

    private function line(float $x, float $y): void
    {
        array_push($this->numbers, $this->line, 0.0, $x, $y);
        [$this->x, $this->y] = [$x, $y];
    }

    private function close(): void
    {
        array_push($this->numbers, $this->close, 0.0);
    }

    /** Draws an edge to a point. */
    private function edge(float $x, float $y): void
    {
        $dx = $x - $this->x;
        $dy = $y - $this->y;
        if (abs($dy) < self::LEVEL * abs($dx) && ($y >= 0 || $this->y >= 0) && ($y <= $this->height || $this->y <= $this->height)) {
            $this->level($dx, $dy / $dx);
        }
        $this->numbers[] = $this->line;
        $this->numbers[] = 0.0;
        $this->numbers[] = $this->x = $x;
        $this->numbers[] = $this->y = $y;
    }

    private function level(float $dx, float $slope): void
    {
        [$x, $y, $line] = [$this->x, $this->y, $this->line];
        $way = $dx > 0 ? 1 : -1;
        // Independent of the drawing direction.
        $tilt = ($slope < 0 ? -$way : $way) / (2 * self::SAMPLES);
        // Beyond the page a single segment is sufficient.
        $at = $way > 0 ? max($x, 0.0) : min($x, (float) $this->width);
        $end = $way > 0 ? min($x + $dx, (float) $this->width) : max($x + $dx, 0.0);
        while ($way * ($end - $at) > 0) {
            $next = $way > 0 ? min($end, floor($at) + 1) : max($end, ceil($at) - 1);
            $middle = $y + (($at + $next) / 2 - $x) * $slope;
            array_push($this->numbers, $line, 0.0, $at, $middle - $tilt, $line, 0.0, $next, $middle + $tilt);
            $at = $next;
        }
    }
}
