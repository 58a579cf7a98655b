<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use FFI\CData;
use TallCrow\Colour\Srgb;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Path;

/** An empty page to draw outlines on, in units of its own. What was drawn is taken as an image once. */
final class Canvas
{
    /** Pixels about the page where the library cuts what goes beyond, a little beside where it would go. */
    private const RIM = 4;

    private const BLUNT = 0;

    private const ROUND = 1;

    private CData $surface;

    private CData $context;

    /** @var array<int, array{Affine, CData, Box, bool}> outlines kept by the library, by what they were made of: the map by which they lie so, about where, and whether all their lines run level or upright */
    private array $kept = [];

    /**
     * @var array<int, Path>
     *
     * @phpstan-ignore property.onlyWritten (holds on to the paths, so that their numbers are not given anew)
     */
    private array $paths = [];

    /** cairo_operator_t. */
    private const OVER = 2;

    private const TAKE_OUT = 9;

    /** Pixels by which a chord may stray from its curve. */
    private const TOLERANCE = 0.02;

    private bool $empty = true;

    /** Pixels beside the page at which nothing shows. */
    private const BESIDE = 8.0;

    /** Steps of a pixel in which the library reckons. */
    private const FINEST = 256;

    /** From the page's units to pixels of the grid that all windows of a sheet share. */
    private Affine $map;

    /** Where the window's first pixel lies on that grid, the other way about, and the rim. */
    private readonly int $left;

    private readonly int $top;

    /** @param  Affine  $toPixels  from the page's units to pixels, as large across as down */
    public function __construct(
        private readonly int $width,
        private readonly int $height,
        Affine $toPixels,
    ) {
        [$left, $top] = [(int) floor($toPixels->e + 1e-6), (int) floor($toPixels->f + 1e-6)];
        $this->map = $toPixels->then(Affine::shift(-$left, -$top));
        [$this->left, $this->top] = [$left + self::RIM, $top + self::RIM];
        $this->surface = Cairo::made('image_surface_create', Cairo::ARGB32, $width + 2 * self::RIM, $height + 2 * self::RIM);
        if (Cairo::call('surface_status', $this->surface) !== 0) {
            throw RasterFailed::during('canvas', "no page of $width × $height pixels could be made");
        }
        $this->context = Cairo::made('create', $this->surface);
        // The library's own tenth of a pixel shows in the coverage of an edge.
        Cairo::call('set_tolerance', $this->context, self::TOLERANCE);
    }

    public function __destruct()
    {
        foreach ($this->kept as [, $path]) {
            Cairo::call('path_destroy', $path);
        }
        Cairo::call('destroy', $this->context);
        Cairo::call('surface_destroy', $this->surface);
    }

    public function colour(Srgb $colour): void
    {
        // The library lays bytes down as blue, green, red, alpha; told red for blue it lays them as they are wanted.
        Cairo::call('set_source_rgb', $this->context, $colour->blue / 255, $colour->green / 255, $colour->red / 255);
    }

    /** @param  list<Srgb>  $colours  evenly apart on the way from one point to the other */
    public function gradient(float $x1, float $y1, float $x2, float $y2, array $colours): void
    {
        $pattern = Cairo::made('pattern_create_linear', ...$this->pixel($x1, $y1), ...$this->pixel($x2, $y2));
        $last = max(1, count($colours) - 1);
        foreach ($colours as $i => $colour) {
            Cairo::call('pattern_add_color_stop_rgb', $pattern, $i / $last, $colour->blue / 255, $colour->green / 255, $colour->red / 255);
        }
        Cairo::call('set_source', $this->context, $pattern);
        Cairo::call('pattern_destroy', $pattern);
    }

    /** Whether nothing was drawn yet. */
    public function isEmpty(): bool
    {
        return $this->empty;
    }

    /** Clears where it draws. */
    public function takingOut(\Closure $draw): void
    {
        $was = $this->empty;
        Cairo::call('set_operator', $this->context, self::TAKE_OUT);
        Cairo::call('set_source_rgb', $this->context, 1.0, 1.0, 1.0);
        $draw();
        Cairo::call('set_operator', $this->context, self::OVER);
        $this->empty = $was;
    }

    /** By the nonzero rule. */
    public function fill(Path $path): void
    {
        $this->empty = false;
        if ($path->isEmpty()) {
            return;
        }
        $this->trace($path);
        $this->toothed($path, 0.0);
        Cairo::call('fill', $this->context);
    }

    /** A line along the outline, half of it to either side, with round corners. */
    public function stroke(Path $path, float $width): void
    {
        $this->empty = false;
        if ($path->isEmpty()) {
            return;
        }
        $this->trace($path);
        $pixels = $width * $this->scale();
        $this->toothed($path, $pixels);
        Cairo::call('set_line_width', $this->context, $pixels);
        Cairo::call('set_line_join', $this->context, self::ROUND);
        Cairo::call('stroke', $this->context);
    }

    /**
     * An open line with round ends, as a brush leaves it.
     *
     * @param  non-empty-list<array{float, float}>  $points
     */
    public function brushed(array $points, float $width): void
    {
        Cairo::call('set_line_cap', $this->context, self::ROUND);
        // A dab is a line to where it began.
        $this->open([count($points) > 1 ? $points : [$points[0], $points[0]]], $width);
        Cairo::call('set_line_cap', $this->context, self::BLUNT);
    }

    /**
     * Straight lines with blunt ends.
     *
     * @param  non-empty-list<array{array{float, float}, array{float, float}}>  $lines
     */
    public function lines(array $lines, float $width): void
    {
        $this->open($lines, $width);
    }

    /** @param  non-empty-list<non-empty-list<array{float, float}>>  $lines */
    private function open(array $lines, float $width): void
    {
        $this->empty = false;
        Cairo::call('new_path', $this->context);
        [$top, $bottom] = [INF, -INF];
        foreach ($lines as $points) {
            foreach ($points as $i => [$x, $y]) {
                [$x, $y] = $this->pixel($x, $y);
                Cairo::call($i === 0 ? 'move_to' : 'line_to', $this->context, $x, $y);
                [$top, $bottom] = [min($top, $y), max($bottom, $y)];
            }
        }
        $pixels = $width * $this->scale();
        $this->teeth($top, $bottom, $pixels);
        Cairo::call('set_line_width', $this->context, $pixels);
        Cairo::call('set_line_join', $this->context, self::ROUND);
        Cairo::call('stroke', $this->context);
    }

    public function rectangle(Box $box): void
    {
        $this->fill(new Path([['M', $box->left, $box->top], ['L', $box->right, $box->top], ['L', $box->right, $box->bottom], ['L', $box->left, $box->bottom], ['Z']]));
    }

    /** Draws shifted, turned by degrees clockwise, or within an outline alone. */
    public function within(\Closure $draw, float $x = 0.0, float $y = 0.0, float $turn = 0.0, ?Path $clip = null): void
    {
        Cairo::call('save', $this->context);
        if ($clip !== null && $clip->isEmpty()) {
            Cairo::call('new_path', $this->context);
            Cairo::call('clip', $this->context);
        } elseif ($clip !== null) {
            $this->trace($clip);
            Cairo::call('clip', $this->context);
        }
        $map = $this->map;
        $this->map = Affine::turn($turn)->then(Affine::shift($x, $y))->then($map);
        $draw($this);
        $this->map = $map;
        Cairo::call('restore', $this->context);
    }

    /** What was drawn, as ink. */
    public function ink(): Image
    {
        return $this->drawn()->unpremultiplied()->settled();
    }

    /** Where anything was drawn: one band. */
    public function mask(): Image
    {
        return $this->drawn()->band(3)->settled();
    }

    /** The page itself: it lives as long as this does. */
    private function drawn(): Image
    {
        Cairo::call('surface_flush', $this->surface);

        return Image::memory(Cairo::made('image_surface_get_data', $this->surface), $this->width + 2 * self::RIM, $this->height + 2 * self::RIM, 4)
            ->crop(self::RIM, self::RIM, $this->width, $this->height);
    }

    private function scale(): float
    {
        return sqrt(abs($this->map->a * $this->map->d - $this->map->b * $this->map->c));
    }

    /**
     * A point in the library's finest steps. They are told before the window's place is added, so that a point falls on the same step in every window:
     * one step up or down is a row of samples, and those of a level edge are a fifteenth of its pixels.
     *
     * @return array{float, float}
     */
    private function pixel(float $x, float $y): array
    {
        [$x, $y] = $this->map->apply($x, $y);

        return [round($x * self::FINEST) / self::FINEST + $this->left, round($y * self::FINEST) / self::FINEST + $this->top];
    }

    /** Teeth for a kept outline: rectangles are reckoned exactly. */
    private function toothed(Path $path, float $stroke): void
    {
        [, , $box, $isStraight] = $this->kept[spl_object_id($path)];
        if (! $isStraight || $stroke > 0) {
            $this->teeth($box->top + $this->top, $box->bottom + $this->top, $stroke);
        }
    }

    /**
     * Puts a line of teeth beside the page, one to each row that the outline crosses. Where no line of an outline begins or ends in a row of pixels,
     * the library takes a short way by which a slanting edge is up to 17 of 255 levels off; which rows those are would hang on the page's size, too.
     *
     * @param  float  $stroke  how broad the line along the outline is, in pixels; 0 where it is filled
     */
    private function teeth(float $top, float $bottom, float $stroke): void
    {
        $from = max(0, (int) floor($top - $stroke) - 1);
        $to = min($this->height + 2 * self::RIM, (int) ceil($bottom + $stroke) + 1);
        $left = -self::BESIDE - $stroke;
        [$cairo, $context] = [Cairo::library(), $this->context];
        $cairo->cairo_move_to($context, $left, $from - 0.5);
        for ($row = $from; $row < $to; $row++) {
            // Lines that run on in one direction would be made one.
            $cairo->cairo_line_to($context, $left - ($row & 1) / 32, $row + 0.5);
        }
        if ($stroke === 0.0) {
            $cairo->cairo_close_path($context);
        }
    }

    private function trace(Path $path): void
    {
        Cairo::call('new_path', $this->context);
        $id = spl_object_id($path);
        $map = $this->map;
        if (isset($this->kept[$id]) && $this->kept[$id][0] === $map) {
            Cairo::call('append_path', $this->context, $this->kept[$id][1]);

            return;
        }
        // As pixel() does, without a call for each of an outline's many points: x and y are in finest steps.
        [$a, $b, $c, $d, $e, $f] = array_map(fn (float $factor): float => $factor * self::FINEST, [$map->a, $map->b, $map->c, $map->d, $map->e, $map->f]);
        [$left, $top, $step] = [$this->left, $this->top, 1 / self::FINEST];
        $x = $y = $startX = $startY = 0.0;
        $isStraight = true;
        [$cairo, $context] = [Cairo::library(), $this->context];
        foreach ($path->segments as $s) {
            if ($s[0] === 'Z') {
                $isStraight = $isStraight && (round($x) === round($startX) || round($y) === round($startY));
                [$x, $y] = [$startX, $startY];
                $cairo->cairo_close_path($context);

                continue;
            }
            [$fromX, $fromY] = [$x, $y];
            [$x, $y] = [$a * $s[1] + $c * $s[2] + $e, $b * $s[1] + $d * $s[2] + $f];
            if ($s[0] === 'L') {
                $isStraight = $isStraight && (round($x) === round($fromX) || round($y) === round($fromY));
                $cairo->cairo_line_to($context, round($x) * $step + $left, round($y) * $step + $top);
            } elseif ($s[0] === 'M') {
                [$startX, $startY] = [$x, $y];
                $cairo->cairo_move_to($context, round($x) * $step + $left, round($y) * $step + $top);
            } else {
                $isStraight = false;
                [$x1, $y1] = [$x, $y];
                [$x2, $y2] = [$a * $s[3] + $c * $s[4] + $e, $b * $s[3] + $d * $s[4] + $f];
                if ($s[0] === 'Q') {
                    [$x, $y] = [$x2, $y2];
                    // A curve of one handle is one of two, each two thirds of the way to it.
                    [$x2, $y2] = [($x + 2 * $x1) / 3, ($y + 2 * $y1) / 3];
                    [$x1, $y1] = [($fromX + 2 * $x1) / 3, ($fromY + 2 * $y1) / 3];
                } else {
                    [$x, $y] = [$a * $s[5] + $c * $s[6] + $e, $b * $s[5] + $d * $s[6] + $f];
                }
                $cairo->cairo_curve_to(
                    $context, round($x1) * $step + $left, round($y1) * $step + $top, round($x2) * $step + $left, round($y2) * $step + $top,
                    round($x) * $step + $left, round($y) * $step + $top,
                );
            }
        }
        $flat = Cairo::made('copy_path_flat', $this->context);
        isset($this->kept[$id]) && Cairo::call('path_destroy', $this->kept[$id][1]);
        $this->kept[$id] = [$map, $flat, $path->bounds()->transformed($map), $isStraight];
        $this->paths[$id] = $path;
        // As chords from the start: what of a curve lies beyond the page would be cut otherwise than elsewhere.
        Cairo::call('new_path', $this->context);
        Cairo::call('append_path', $this->context, $flat);
    }
}
