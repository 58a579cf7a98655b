<?php

declare(strict_types=1);

namespace TallCrow\Asset;

/**
 * How entangled a path is: the length of its way up and down, or across, in heights or widths of its own box. A circle's is 2, since
 * a line across meets its edge twice; a hundred strokes over the whole box make 100. Curves are taken by four chords.
 */
final class PathTravel
{
    private const STEPS = 4;

    private float $x = 0.0;

    private float $y = 0.0;

    private float $startX = 0.0;

    private float $startY = 0.0;

    /** @var array{float, float, float, float} left, top, right, bottom */
    private array $box = [INF, INF, -INF, -INF];

    private float $across = 0.0;

    private float $down = 0.0;

    public static function of(string $d): float
    {
        $path = new self;
        preg_match_all('/([MmLlHhVvCcSsQqTtAaZz])([^MmLlHhVvCcSsQqTtAaZz]*)/', $d, $parts, PREG_SET_ORDER);
        foreach ($parts as [, $letter, $numbers]) {
            preg_match_all('/[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?/', $numbers, $found);
            $path->segment($letter, array_map(floatval(...), $found[0]));
        }
        [$left, $top, $right, $bottom] = $path->box;

        return max($path->across / max(1e-9, $right - $left), $path->down / max(1e-9, $bottom - $top));
    }

    /** About how many corners a path has, each of which may bear a marker. */
    public static function corners(string $d): int
    {
        return (int) ceil(preg_match_all('/[-+]?(?:\d+\.?\d*|\.\d+)/', $d) / 2);
    }

    /** @param  list<float>  $n */
    private function segment(string $letter, array $n): void
    {
        $relative = ctype_lower($letter);
        $size = ['M' => 2, 'L' => 2, 'H' => 1, 'V' => 1, 'C' => 6, 'S' => 4, 'Q' => 4, 'T' => 2, 'A' => 7][strtoupper($letter)] ?? 0;
        if ($size === 0) {
            $this->to($this->startX, $this->startY);

            return;
        }
        for ($at = 0; $at + $size <= count($n); $at += $size) {
            $some = array_slice($n, $at, $size);
            [$x, $y] = $relative ? [$this->x, $this->y] : [0.0, 0.0];
            switch (strtoupper($letter)) {
                case 'M':
                    // Further pairs after a move are lines.
                    $at === 0 ? $this->move($x + $some[0], $y + $some[1]) : $this->to($x + $some[0], $y + $some[1]);
                    break;
                case 'H':
                    $this->to($x + $some[0], $this->y);
                    break;
                case 'V':
                    $this->to($this->x, $y + $some[0]);
                    break;
                case 'C':
                    $this->curve($x + $some[0], $y + $some[1], $x + $some[2], $y + $some[3], $x + $some[4], $y + $some[5]);
                    break;
                case 'S':
                case 'Q':
                    $this->curve($x + $some[0], $y + $some[1], $x + $some[0], $y + $some[1], $x + $some[2], $y + $some[3]);
                    break;
                case 'A':
                    $this->arc(abs($some[0]), abs($some[1]), $x + $some[5], $y + $some[6]);
                    break;
                default:
                    $this->to($x + $some[0], $y + $some[1]);
            }
        }
    }

    private function move(float $x, float $y): void
    {
        [$this->x, $this->y, $this->startX, $this->startY] = [$x, $y, $x, $y];
        $this->reach();
    }

    private function to(float $x, float $y): void
    {
        $this->across += abs($x - $this->x);
        $this->down += abs($y - $this->y);
        [$this->x, $this->y] = [$x, $y];
        $this->reach();
    }

    private function curve(float $x1, float $y1, float $x2, float $y2, float $x3, float $y3): void
    {
        [$x0, $y0] = [$this->x, $this->y];
        for ($i = 1; $i <= self::STEPS; $i++) {
            $t = $i / self::STEPS;
            [$a, $b, $c, $d] = [(1 - $t) ** 3, 3 * $t * (1 - $t) ** 2, 3 * $t * $t * (1 - $t), $t ** 3];
            $this->to($a * $x0 + $b * $x1 + $c * $x2 + $d * $x3, $a * $y0 + $b * $y1 + $c * $y2 + $d * $y3);
        }
    }

    /** An arc goes no farther than round its ellipse once, and leaves the box of its ends by what its radii exceed it. */
    private function arc(float $rx, float $ry, float $x, float $y): void
    {
        $this->across += 2 * $rx;
        $this->down += 2 * $ry;
        $beyondX = max(0.0, $rx - abs($x - $this->x) / 2);
        $beyondY = max(0.0, $ry - abs($y - $this->y) / 2);
        $this->to($x, $y);
        $this->box = [$this->box[0] - $beyondX, $this->box[1] - $beyondY, $this->box[2] + $beyondX, $this->box[3] + $beyondY];
    }

    private function reach(): void
    {
        $this->box = [min($this->box[0], $this->x), min($this->box[1], $this->y), max($this->box[2], $this->x), max($this->box[3], $this->y)];
    }
}
