<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use TallCrow\Geometry\Path;

/**
 * Parses the data of an SVG path (SVG 2, 9.3) into contours of lines and curves. Everything after an error is ignored, as renderers do.
 *
 * @phpstan-import-type Segment from Path
 */
final class SvgPath
{
    private const NUMBER = '[-+]?+(?:\d++\.?+\d*+|\.\d++)(?:[eE][-+]?+\d++)?+';

    /** Segments per batch. */
    private const AT_ONCE = 100;

    /** Numbers per command. */
    private const SIZES = ['M' => 2, 'L' => 2, 'H' => 1, 'V' => 1, 'C' => 6, 'S' => 4, 'Q' => 4, 'T' => 2, 'A' => 7];

    /** Largest angle of one cubic curve of an arc: off by at most 0.0004 % of the radius. */
    private const ARC = M_PI / 4;

    private float $x = 0.0;

    private float $y = 0.0;

    private float $startX = 0.0;

    private float $startY = 0.0;

    /** @var array{string, float, float} the previous command, and the control point that a smooth curve reflects */
    private array $last = ['', 0.0, 0.0];

    /** @var list<Segment> segments of the current batch */
    private array $segments = [];

    /** Command of the last segment. */
    private string $kind = '';

    private function __construct(private readonly bool $isStroked) {}

    /** @param  bool  $isStroked  whether open contours stay open; for fills they are closed */
    public static function read(string $d, bool $isStroked = false): Path
    {
        return new Path(iterator_to_array(self::segments($d, $isStroked), false));
    }

    /**
     * Yields segments one by one, so that a path of millions needs no more memory than its text.
     *
     * @return \Generator<int, Segment>
     */
    public static function segments(string $d, bool $isStroked = false): \Generator
    {
        $path = new self($isStroked);
        $at = 0;
        while (preg_match('/\G[\s,]*([MLHVCSQTAZ])/i', $d, $found, 0, $at) === 1) {
            $at += strlen($found[0]);
            $letter = strtoupper($found[1]);
            if ($path->kind === '' && $letter !== 'M') {
                break;
            }
            if ($letter === 'Z') {
                $path->close(true);

                continue;
            }
            $isRelative = ctype_lower($found[1]);
            $isFirst = true;
            while (($numbers = self::numbers($d, $at, $letter)) !== null) {
                // Further coordinate pairs after a moveto are linetos.
                $path->segment($letter === 'M' && ! $isFirst ? 'L' : $letter, $numbers, $isRelative);
                $isFirst = false;
                if (count($path->segments) >= self::AT_ONCE) {
                    yield from $path->taken();
                }
            }
            if ($isFirst) {
                break;
            }
        }
        $path->close();
        yield from $path->taken();
    }

    /** @return ?list<float> as many as the command takes; null if there are no more */
    private static function numbers(string $d, int &$at, string $letter): ?array
    {
        /** @var array<string, string> $patterns */
        static $patterns = [];
        $pattern = $patterns[$letter] ??= (function () use ($letter): string {
            $each = array_fill(0, self::SIZES[$letter], self::NUMBER);
            if ($letter === 'A') {
                // The flags of an arc need no separator.
                $each[3] = $each[4] = '[01]';
            }

            return '/\G[\s,]*+('.implode(')[\s,]*+(', $each).')/';
        })();
        if (preg_match($pattern, $d, $found, 0, $at) !== 1) {
            return null;
        }
        $at += strlen($found[0]);
        $numbers = [];
        for ($i = 1, $n = count($found); $i < $n; $i++) {
            $numbers[] = (float) $found[$i];
        }

        return $numbers;
    }

    /** @return list<Segment> */
    private function taken(): array
    {
        [$segments, $this->segments] = [$this->segments, []];

        return $segments;
    }

    /** @param  list<float>  $n */
    private function segment(string $letter, array $n, bool $isRelative): void
    {
        [$fromX, $fromY] = [$this->x, $this->y];
        [$x, $y] = $isRelative ? [$fromX, $fromY] : [0.0, 0.0];
        // Without a preceding curve of the same kind, the control point is the current point.
        [$smoothX, $smoothY] = match (true) {
            $letter !== 'S' && $letter !== 'T' => [$fromX, $fromY],
            $this->last[0] === $letter || $this->last[0] === ($letter === 'S' ? 'C' : 'Q') => [2 * $fromX - $this->last[1], 2 * $fromY - $this->last[2]],
            default => [$fromX, $fromY],
        };
        if ($letter !== 'M' && $this->kind === 'Z') {
            $this->add(['M', $fromX, $fromY]);
        }
        [$handleX, $handleY] = [$fromX, $fromY];
        switch ($letter) {
            case 'M':
                $this->close();
                [$this->startX, $this->startY] = [$this->x, $this->y] = [$x + $n[0], $y + $n[1]];
                $this->add(['M', $this->x, $this->y]);
                break;
            case 'L':
                $this->line($x + $n[0], $y + $n[1]);
                break;
            case 'H':
                $this->line($x + $n[0], $fromY);
                break;
            case 'V':
                $this->line($fromX, $y + $n[0]);
                break;
            case 'C':
                [$handleX, $handleY] = [$x + $n[2], $y + $n[3]];
                $this->cubic($x + $n[0], $y + $n[1], $handleX, $handleY, $x + $n[4], $y + $n[5]);
                break;
            case 'S':
                [$handleX, $handleY] = [$x + $n[0], $y + $n[1]];
                $this->cubic($smoothX, $smoothY, $handleX, $handleY, $x + $n[2], $y + $n[3]);
                break;
            case 'Q':
                [$handleX, $handleY] = [$x + $n[0], $y + $n[1]];
                $this->quadratic($handleX, $handleY, $x + $n[2], $y + $n[3]);
                break;
            case 'T':
                [$handleX, $handleY] = [$smoothX, $smoothY];
                $this->quadratic($handleX, $handleY, $x + $n[0], $y + $n[1]);
                break;
            case 'A':
                $this->arc(abs($n[0]), abs($n[1]), deg2rad($n[2]), $n[3] === 1.0, $n[4] === 1.0, $x + $n[5], $y + $n[6]);
                break;
        }
        $this->last = [$letter, $handleX, $handleY];
    }

    /** @param  Segment  $segment */
    private function add(array $segment): void
    {
        $this->segments[] = $segment;
        $this->kind = $segment[0];
    }

    private function line(float $x, float $y): void
    {
        $this->add(['L', $this->x = $x, $this->y = $y]);
    }

    private function quadratic(float $hx, float $hy, float $x, float $y): void
    {
        $this->add(['Q', $hx, $hy, $this->x = $x, $this->y = $y]);
    }

    private function cubic(float $hx, float $hy, float $kx, float $ky, float $x, float $y): void
    {
        $this->add(['C', $hx, $hy, $kx, $ky, $this->x = $x, $this->y = $y]);
    }

    /** By centre parameterisation (SVG 2, B.2.4). */
    private function arc(float $rx, float $ry, float $turn, bool $isLarge, bool $isSweeping, float $x, float $y): void
    {
        if ($rx < 1e-12 || $ry < 1e-12 || ($x === $this->x && $y === $this->y)) {
            $this->line($x, $y);

            return;
        }
        [$cos, $sin] = [cos($turn), sin($turn)];
        [$halfX, $halfY] = [($this->x - $x) / 2, ($this->y - $y) / 2];
        [$x1, $y1] = [$cos * $halfX + $sin * $halfY, $cos * $halfY - $sin * $halfX];
        $beyond = sqrt(($x1 / $rx) ** 2 + ($y1 / $ry) ** 2);
        if ($beyond > 1) {
            [$rx, $ry] = [$rx * $beyond, $ry * $beyond];
        }
        $root = sqrt(max(0.0, (($rx * $ry) ** 2 - ($rx * $y1) ** 2 - ($ry * $x1) ** 2) / (($rx * $y1) ** 2 + ($ry * $x1) ** 2))) * ($isLarge === $isSweeping ? -1 : 1);
        [$middleX, $middleY] = [$root * $rx * $y1 / $ry, -$root * $ry * $x1 / $rx];
        $from = atan2(($y1 - $middleY) / $ry, ($x1 - $middleX) / $rx);
        $way = fmod(atan2((-$y1 - $middleY) / $ry, (-$x1 - $middleX) / $rx) - $from, 2 * M_PI);
        $way += $isSweeping === ($way < 0) ? ($isSweeping ? 2 * M_PI : -2 * M_PI) : 0.0;
        $count = max(1, (int) ceil(abs($way) / self::ARC - 1e-9));
        $handle = 4 / 3 * tan($way / $count / 4);
        [$originX, $originY] = [($this->x + $x) / 2, ($this->y + $y) / 2];
        $on = function (float $a, float $b) use ($rx, $ry, $cos, $sin, $middleX, $middleY, $originX, $originY): array {
            [$u, $v] = [$middleX + $rx * $a, $middleY + $ry * $b];

            return [$originX + $cos * $u - $sin * $v, $originY + $sin * $u + $cos * $v];
        };
        for ($i = 0; $i < $count; $i++) {
            [$a, $b] = [$from + $way * $i / $count, $from + $way * ($i + 1) / $count];
            [$hx, $hy] = $on(cos($a) - $handle * sin($a), sin($a) + $handle * cos($a));
            [$kx, $ky] = $on(cos($b) + $handle * sin($b), sin($b) - $handle * cos($b));
            // End exactly at the given point.
            $this->cubic($hx, $hy, $kx, $ky, ...($i === $count - 1 ? [$x, $y] : $on(cos($b), sin($b))));
        }
    }

    private function close(bool $isTold = false): void
    {
        if ($this->kind !== '' && $this->kind !== 'Z' && ($isTold || ! $this->isStroked)) {
            $this->add(['Z']);
        }
        [$this->x, $this->y, $this->last] = [$this->startX, $this->startY, ['', 0.0, 0.0]];
    }
}
