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

    /** @var array<int, CData> outlines kept by the library, by what they were made of */
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

    /** Pixels to a unit of the page. */
    private readonly float $scale;

    /** @param  Affine  $toPixels  from the page's units to pixels, as large across as down */
    public function __construct(
        private readonly int $width,
        private readonly int $height,
        Affine $toPixels,
    ) {
        $this->scale = sqrt(abs($toPixels->a * $toPixels->d - $toPixels->b * $toPixels->c));
        $this->surface = Cairo::made('image_surface_create', Cairo::ARGB32, $width + 2 * self::RIM, $height + 2 * self::RIM);
        if (Cairo::call('surface_status', $this->surface) !== 0) {
            throw RasterFailed::during('canvas', "no page of $width × $height pixels could be made");
        }
        $this->context = Cairo::made('create', $this->surface);
        // The library's own tenth of a pixel shows in the coverage of an edge.
        Cairo::call('set_tolerance', $this->context, self::TOLERANCE);
        Cairo::setMatrix($this->context, $toPixels->then(Affine::shift(self::RIM, self::RIM)));
    }

    public function __destruct()
    {
        foreach ($this->kept as $path) {
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
        $pattern = Cairo::made('pattern_create_linear', $x1, $y1, $x2, $y2);
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
        $this->trace($path);
        Cairo::call('fill', $this->context);
    }

    /** A line along the outline, half of it to either side, with round corners. */
    public function stroke(Path $path, float $width): void
    {
        $this->empty = false;
        $this->trace($path);
        Cairo::call('save', $this->context);
        // In pixels: by a width in inches the library makes the corner at which a contour closes a mitre.
        Cairo::call('identity_matrix', $this->context);
        Cairo::call('set_line_width', $this->context, $width * $this->scale);
        Cairo::call('set_line_join', $this->context, self::ROUND);
        Cairo::call('stroke', $this->context);
        Cairo::call('restore', $this->context);
    }

    /**
     * An open line with round ends, as a brush leaves it.
     *
     * @param  non-empty-list<array{float, float}>  $points
     */
    public function brushed(array $points, float $width): void
    {
        $this->empty = false;
        Cairo::call('new_path', $this->context);
        Cairo::call('move_to', $this->context, ...$points[0]);
        // A dab is a line to where it began.
        foreach (array_slice($points, count($points) > 1 ? 1 : 0) as [$x, $y]) {
            Cairo::call('line_to', $this->context, $x, $y);
        }
        Cairo::call('set_line_width', $this->context, $width);
        Cairo::call('set_line_cap', $this->context, self::ROUND);
        Cairo::call('set_line_join', $this->context, self::ROUND);
        Cairo::call('stroke', $this->context);
        Cairo::call('set_line_cap', $this->context, self::BLUNT);
    }

    public function rectangle(Box $box): void
    {
        $this->empty = false;
        $this->outline($box);
        Cairo::call('fill', $this->context);
    }

    /** A straight line with blunt ends. */
    public function line(float $x1, float $y1, float $x2, float $y2, float $width): void
    {
        $this->empty = false;
        Cairo::call('move_to', $this->context, $x1, $y1);
        Cairo::call('line_to', $this->context, $x2, $y2);
        Cairo::call('set_line_width', $this->context, $width);
        Cairo::call('stroke', $this->context);
    }

    /** Draws shifted, turned by degrees clockwise, or within an outline alone. */
    public function within(\Closure $draw, float $x = 0.0, float $y = 0.0, float $turn = 0.0, ?Path $clip = null): void
    {
        Cairo::call('save', $this->context);
        if ($clip !== null) {
            $this->trace($clip);
            Cairo::call('clip', $this->context);
        }
        Cairo::call('translate', $this->context, $x, $y);
        Cairo::call('rotate', $this->context, deg2rad($turn));
        $draw($this);
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

    private function outline(Box $box): void
    {
        Cairo::call('new_path', $this->context);
        Cairo::call('rectangle', $this->context, $box->left, $box->top, $box->width(), $box->height());
    }

    private function trace(Path $path): void
    {
        Cairo::call('new_path', $this->context);
        $id = spl_object_id($path);
        if (isset($this->kept[$id])) {
            Cairo::call('append_path', $this->context, $this->kept[$id]);

            return;
        }
        $x = $y = 0.0;
        [$cairo, $context] = [Cairo::library(), $this->context];
        foreach ($path->segments as $s) {
            if ($s[0] === 'L') {
                $cairo->cairo_line_to($context, $x = $s[1], $y = $s[2]);
            } elseif ($s[0] === 'M') {
                $cairo->cairo_move_to($context, $x = $s[1], $y = $s[2]);
            } elseif ($s[0] === 'Q') {
                $cairo->cairo_curve_to($context, $x + 2 / 3 * ($s[1] - $x), $y + 2 / 3 * ($s[2] - $y), $s[3] + 2 / 3 * ($s[1] - $s[3]), $s[4] + 2 / 3 * ($s[2] - $s[4]), $s[3], $s[4]);
                [$x, $y] = [$s[3], $s[4]];
            } elseif ($s[0] === 'C') {
                $cairo->cairo_curve_to($context, $s[1], $s[2], $s[3], $s[4], $x = $s[5], $y = $s[6]);
            } else {
                $cairo->cairo_close_path($context);
            }
        }
        $this->kept[$id] = Cairo::made('copy_path_flat', $this->context);
        $this->paths[$id] = $path;
        // As chords from the start: what of a curve lies beyond the page would be cut otherwise than elsewhere.
        Cairo::call('new_path', $this->context);
        Cairo::call('append_path', $this->context, $this->kept[$id]);
    }
}
