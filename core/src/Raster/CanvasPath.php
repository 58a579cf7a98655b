<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use FFI\CData;

/**
 * Writes outlines of chords into the library's path, so that what they cover of each pixel is what is drawn. The library takes 15 samples down a pixel
 * and knows exactly how far each reaches across, so that a level edge is up to half a sample off, 8 of 255 levels. A nearly level edge is therefore
 * cut at each column of pixels, and each part tilted about its own middle until it rises by just one sample: it covers the same, and where the sample
 * cuts it tells how much.
 *
 * @internal
 */
final class CanvasPath
{
    /** Samples down a pixel. */
    private const SAMPLES = 15;

    /** How much an edge may rise to be nearly level: beyond, it cuts so many samples of a pixel that they make up for one another, to 1.5 levels. */
    private const LEVEL = 1 / self::SAMPLES;

    /** Pixels by which a chord may stray from its arc. */
    private const TOLERANCE = 0.008;

    /** Numbers that are written before they are added: a long brush line has millions. */
    private const AT_ONCE = 200_000;

    /** @var list<float> in the library's own order: what each element is, one that says nothing, then x and y */
    private array $numbers = [];

    private float $x = 0.0;

    private float $y = 0.0;

    private readonly float $move;

    private readonly float $line;

    private readonly float $close;

    /** @param  CData  $context  the library's, whose path is added to */
    public function __construct(
        private readonly CData $context,
        private readonly int $width,
        private readonly int $height,
    ) {
        [$this->move, $this->line, $this->close] = [Cairo::head(Cairo::MOVE, 2), Cairo::head(Cairo::LINE, 2), Cairo::head(Cairo::CLOSE, 1)];
    }

    /** Adds what is still written here to the library's path. A call for each point would take longer than the drawing. */
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

    /** @param  list<float>  $points  of lines that all run level or upright, which the library knows exactly */
    public function straight(array $points): void
    {
        $this->begin($points[0], $points[1]);
        for ($i = 2, $n = count($points); $i < $n; $i += 2) {
            $this->line($points[$i], $points[$i + 1]);
        }
        $this->close();
    }

    /**
     * All that lies within a distance of a closed line: its edge on either side, round where a corner opens and by way of the corner itself where it
     * closes, so that all of it runs the same way round and is one by the nonzero rule.
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
     * An area with all that lies within a distance of it.
     *
     * @param  list<float>  $points  x and y of each corner in turn, what they enclose to the left, as a region's run
     */
    public function grown(array $points, float $by): void
    {
        $chords = self::chords($points, true, $by);
        if ($chords !== []) {
            $this->round($chords, $by);
        }
    }

    /**
     * All that lies within a distance of an open line.
     *
     * @param  list<float>  $points  x and y of each in turn
     * @param  bool  $isRound  whether its ends are round, and not blunt
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
        // From the middle of its last chord to there.
        $last = $chords[count($chords) - 1];
        [$x, $y] = [($last[0] + $last[2]) / 2 + $last[4], ($last[1] + $last[3]) / 2 + $last[5]];
        $this->begin($x, $y);
        $this->side([$last, ...$chords], $half);
        $this->edge($x, $y);
        $this->close();
    }

    /**
     * @param  non-empty-list<array{float, float, float, float, float, float, float}>  $chords
     * @return non-empty-list<array{float, float, float, float, float, float, float}> the same the other way about
     */
    private static function back(array $chords): array
    {
        return array_map(fn (array $chord): array => [$chord[2], $chord[3], $chord[0], $chord[1], -$chord[4], -$chord[5], $chord[6]], array_reverse($chords));
    }

    /**
     * Goes along the edge as far as the corner before the last chord.
     *
     * @param  non-empty-list<array{float, float, float, float, float, float, float}>  $chords
     */
    private function side(array $chords, float $half): void
    {
        $square = $half * $half;
        // Of normals between whose edges nothing is seen of an arc: a corner that is not rounded stands out by that little.
        $smooth = $square * (2 * ($half / ($half + self::TOLERANCE)) ** 2 - 1);
        [, , , , $fromX, $fromY, $before] = $chords[0];
        for ($i = 1, $n = count($chords); $i < $n; $i++) {
            [$x, $y, , , $toX, $toY, $length] = $chords[$i];
            $turn = $fromX * $toY - $fromY * $toX;
            $alike = $fromX * $toX + $fromY * $toY;
            // Where both edges meet, or would. Where the corner closes they do so within both chords, or not at all.
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

    /** Goes on along an arc about a point. */
    private function turn(float $x, float $y, float $fromX, float $fromY, float $turn, float $half): void
    {
        $points = self::arc($x, $y, $fromX, $fromY, $turn, $half);
        for ($i = 2, $n = count($points); $i < $n; $i += 2) {
            $this->edge($points[$i], $points[$i + 1]);
        }
    }

    /**
     * Where each chord begins and ends, the way from there to its edge, and how long it is.
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
     * Points of an arc about a point, both ends among them.
     *
     * @param  float  $turn  radians from where it begins, the way from x to y
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

    /** Goes on to a point by an edge that is seen. */
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
        // The same whichever way it is drawn.
        $tilt = ($slope < 0 ? -$way : $way) / (2 * self::SAMPLES);
        // Beyond the page one line does.
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
