<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use FFI\CData;
use TallCrow\Colour\Srgb;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Path;

/** A drawing surface for outlines, in units of its own. The result is read as an image once, at the end. */
final class Canvas
{
    /** Pixels of margin about the page. The library clips paths at the surface's edge with a small error, which so falls into the margin. */
    private const RIM = 4;

    private CData $surface;

    private CData $context;

    /** @var array<int, Chords> flattened outlines, by the object id of their path */
    private array $chords = [];

    /** @var array<int, CData> cairo paths of outlines that were filled, by the same id */
    private array $traced = [];

    /**
     * @var array<int, Path>
     *
     * @phpstan-ignore property.onlyWritten (keeps the paths alive, so that their object ids are not reused)
     */
    private array $paths = [];

    /** cairo_operator_t. */
    private const OVER = 2;

    private const TAKE_OUT = 9;

    /** Greatest distance, in pixels, of a chord from its curve. */
    private const TOLERANCE = 0.008;

    private bool $empty = true;

    /** The current colour, unless a gradient is set. */
    private Srgb $colour;

    /** Nesting depth of within(). */
    private int $depth = 0;

    /** Pixels beside the page at which drawing has no effect. */
    private const BESIDE = 8.0;

    /** Steps per pixel of the library's fixed-point coordinates. */
    public const FINEST = 256;

    /** From the page's units to pixels of the sheet's grid, which all windows share. */
    private Affine $map;

    /** Offset from the sheet's grid to the surface: the margin minus the window's first pixel. */
    private readonly int $left;

    private readonly int $top;

    /**
     * @param  Affine  $toPixels  from the page's units to pixels, with equal scale in x and y
     * @param  bool  $isCoverage  whether the surface holds coverage alone (1 byte per pixel instead of 4), which suffices for one colour; a second colour converts it
     */
    public function __construct(
        private readonly int $width,
        private readonly int $height,
        Affine $toPixels,
        private bool $isCoverage = true,
    ) {
        [$left, $top] = [(int) floor($toPixels->e + 1e-6), (int) floor($toPixels->f + 1e-6)];
        $this->map = $toPixels->then(Affine::shift(-$left, -$top));
        [$this->left, $this->top] = [$left + self::RIM, $top + self::RIM];
        $this->colour = Srgb::of(0, 0, 0);
        [$this->surface, $this->context] = $this->page();
    }

    /** @return array{CData, CData} a surface and its drawing context */
    private function page(): array
    {
        $surface = Cairo::made('image_surface_create', $this->isCoverage ? Cairo::A8 : Cairo::ARGB32, $this->across(), $this->height + 2 * self::RIM);
        if (Cairo::call('surface_status', $surface) !== 0) {
            throw RasterFailed::during('canvas', "no page of {$this->width} × {$this->height} pixels could be made");
        }
        $context = Cairo::made('create', $surface);
        // The default tolerance of 0.1 px would show in an edge's coverage.
        Cairo::call('set_tolerance', $context, self::TOLERANCE);

        return [$surface, $context];
    }

    /** Pixels of a row with its margin, rounded up so that rows of single bytes start at whole words. */
    private function across(): int
    {
        return ($this->width + 2 * self::RIM + 3) & ~3;
    }

    public function __destruct()
    {
        foreach ($this->traced as $path) {
            Cairo::call('path_destroy', $path);
        }
        Cairo::call('destroy', $this->context);
        Cairo::call('surface_destroy', $this->surface);
    }

    public function colour(Srgb $colour): void
    {
        $this->demandOutermost();
        $this->empty || $colour == $this->colour || $this->mixed();
        $this->colour = $colour;
        $this->source();
    }

    /** @param  list<Srgb>  $colours  colour stops at equal distances between the two points */
    public function gradient(float $x1, float $y1, float $x2, float $y2, array $colours): void
    {
        $this->demandOutermost();
        $this->mixed();
        $pattern = Cairo::made('pattern_create_linear', ...$this->pixel($x1, $y1), ...$this->pixel($x2, $y2));
        $last = max(1, count($colours) - 1);
        foreach ($colours as $i => $colour) {
            Cairo::call('pattern_add_color_stop_rgb', $pattern, $i / $last, $colour->blue / 255, $colour->green / 255, $colour->red / 255);
        }
        Cairo::call('set_source', $this->context, $pattern);
        Cairo::call('pattern_destroy', $pattern);
    }

    private function demandOutermost(): void
    {
        if ($this->depth > 0) {
            throw new \LogicException('Tell the colour before anything is drawn within something.');
        }
    }

    private function source(): void
    {
        // The library stores bytes as blue, green, red, alpha; with red and blue swapped they come out as RGBA.
        Cairo::call('set_source_rgb', $this->context, $this->colour->blue / 255, $this->colour->green / 255, $this->colour->red / 255);
    }

    /** Converts a surface of coverage alone to one of colours. */
    private function mixed(): void
    {
        if (! $this->isCoverage) {
            return;
        }
        $this->isCoverage = false;
        [$surface, $context] = [$this->surface, $this->context];
        [$this->surface, $this->context] = $this->page();
        $this->source();
        Cairo::call('mask_surface', $this->context, $surface, 0.0, 0.0);
        Cairo::call('destroy', $context);
        Cairo::call('surface_destroy', $surface);
    }

    /** Whether nothing was drawn yet. */
    public function isEmpty(): bool
    {
        return $this->empty;
    }

    /** Clears where the closure draws. */
    public function takingOut(\Closure $draw): void
    {
        $was = $this->empty;
        Cairo::call('set_operator', $this->context, self::TAKE_OUT);
        Cairo::call('set_source_rgb', $this->context, 1.0, 1.0, 1.0);
        $draw();
        Cairo::call('set_operator', $this->context, self::OVER);
        $this->source();
        $this->empty = $was;
    }

    /** Fills by the nonzero rule. */
    public function fill(Path $path): void
    {
        $this->empty = false;
        if ($path->isEmpty()) {
            return;
        }
        $chords = $this->trace($path);
        // The library computes rectangles exactly.
        $chords->isStraight || $this->teeth($chords->box);
        Cairo::call('fill', $this->context);
    }

    /** Fills by a mask of the page's size: each pixel as much as the mask says. */
    public function cover(Image $mask): void
    {
        $page = new self($this->width, $this->height, new Affine(1, 0, 0, 1, 0, 0));
        $this->empty = false;
        Cairo::put($page->surface, $mask->embed(self::RIM, self::RIM, $this->across(), $this->height + 2 * self::RIM)->toBytes());
        Cairo::call('mask_surface', $this->context, $page->surface, 0.0, 0.0);
    }

    /** Strokes an outline, centred on it, with round joins. */
    public function stroke(Path $path, float $width): void
    {
        $this->about($path, $width / 2, fn (CanvasPath $drawn, array $points, float $half) => $drawn->along($points, $half));
    }

    /**
     * Fills an area grown by a distance (its Minkowski sum with a disc).
     *
     * @param  Path  $area  contours that do not cross themselves and have the area on their left, as a Region's are; several areas may be in one path
     */
    public function grown(Path $area, float $by): void
    {
        $this->about($area, $by, fn (CanvasPath $drawn, array $points, float $pixels) => $drawn->grown($points, $pixels));
    }

    /** @param  \Closure(CanvasPath, list<float>, float): void  $draw  draws a contour grown by a distance in pixels */
    private function about(Path $path, float $by, \Closure $draw): void
    {
        $this->empty = false;
        $pixels = $by * $this->map->factor();
        if ($path->isEmpty() || $pixels <= 0) {
            return;
        }
        $chords = $this->chords($path);
        Cairo::call('new_path', $this->context);
        $drawn = $this->path();
        foreach ($chords->contours as $points) {
            $draw($drawn, $points, $pixels);
        }
        $drawn->finish();
        $this->teeth($chords->box->grown($pixels));
        Cairo::call('fill', $this->context);
    }

    /**
     * An open line with round caps, as of a brush.
     *
     * @param  non-empty-list<array{float, float}>  $points
     */
    public function brushed(array $points, float $width): void
    {
        // A single dab is a line from a point to itself.
        $this->open([count($points) > 1 ? $points : [$points[0], $points[0]]], $width, true);
    }

    /**
     * Straight lines with butt caps.
     *
     * @param  non-empty-list<array{array{float, float}, array{float, float}}>  $lines
     */
    public function lines(array $lines, float $width): void
    {
        $this->open($lines, $width, false);
    }

    /** @param  non-empty-list<non-empty-list<array{float, float}>>  $lines */
    private function open(array $lines, float $width, bool $isRound): void
    {
        $this->empty = false;
        Cairo::call('new_path', $this->context);
        $half = $width * $this->map->factor() / 2;
        if ($half <= 0) {
            return;
        }
        $box = null;
        $drawn = $this->path();
        foreach ($lines as $points) {
            $line = [];
            foreach ($points as [$x, $y]) {
                [$line[], $line[]] = [$x, $y] = $this->pixel($x, $y);
                $box = ($box ?? new Box($x, $y, $x, $y))->union(new Box($x, $y, $x, $y));
            }
            $drawn->brushed($line, $half, $isRound);
        }
        $drawn->finish();
        $this->teeth($box->grown($half));
        Cairo::call('fill', $this->context);
    }

    public function rectangle(Box $box): void
    {
        $this->fill(new Path([['M', $box->left, $box->top], ['L', $box->right, $box->top], ['L', $box->right, $box->bottom], ['L', $box->left, $box->bottom], ['Z']]));
    }

    /** Draws shifted, turned (degrees clockwise), or clipped to an outline. */
    public function within(\Closure $draw, float $x = 0.0, float $y = 0.0, float $turn = 0.0, ?Path $clip = null): void
    {
        Cairo::call('save', $this->context);
        $this->depth++;
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
        $this->depth--;
        Cairo::call('restore', $this->context);
    }

    /** The drawing as ink. */
    public function ink(): Image
    {
        return ($this->isCoverage ? Image::flat($this->colour, $this->drawn()) : $this->drawn()->unpremultiplied())->settled();
    }

    /** The drawing's coverage: one band. */
    public function mask(): Image
    {
        return ($this->isCoverage ? $this->drawn() : $this->drawn()->band(3))->settled();
    }

    /** The surface's pixels, valid as long as this object lives. */
    private function drawn(): Image
    {
        Cairo::call('surface_flush', $this->surface);

        return Image::memory(Cairo::made('image_surface_get_data', $this->surface), $this->across(), $this->height + 2 * self::RIM, $this->isCoverage ? 1 : 4)
            ->crop(self::RIM, self::RIM, $this->width, $this->height);
    }

    /**
     * Rounds a point to the library's fixed-point steps. This is done before the window's offset is added, so that a point is rounded alike in every window.
     *
     * @return array{float, float}
     */
    private function pixel(float $x, float $y): array
    {
        [$x, $y] = $this->map->apply($x, $y);

        return [round($x * self::FINEST) / self::FINEST + $this->left, round($y * self::FINEST) / self::FINEST + $this->top];
    }

    /**
     * Adds a zigzag line beside the page, with a vertex in each pixel row that the outline crosses. In rows without any vertex the library uses a shortcut by
     * which a slanting edge is off by up to 17 of 255 levels, and which rows those are depends on the page's size. The zigzag avoids the shortcut.
     */
    private function teeth(Box $box): void
    {
        $from = max(0, (int) floor($box->top) - 1);
        $to = min($this->height + 2 * self::RIM, (int) ceil($box->bottom) + 1);
        $left = -self::BESIDE;
        [$cairo, $context] = [Cairo::library(), $this->context];
        $cairo->cairo_move_to($context, $left, $from - 0.5);
        for ($row = $from; $row < $to; $row++) {
            // Collinear segments would be merged into one.
            $cairo->cairo_line_to($context, $left - ($row & 1) / 32, $row + 0.5);
        }
        $cairo->cairo_close_path($context);
    }

    /** Makes an outline the current path. */
    private function trace(Path $path): Chords
    {
        $chords = $this->chords($path);
        $id = spl_object_id($path);
        Cairo::call('new_path', $this->context);
        if (isset($this->traced[$id])) {
            Cairo::call('append_path', $this->context, $this->traced[$id]);

            return $chords;
        }
        $drawn = $this->path();
        foreach ($chords->contours as $points) {
            $chords->isStraight ? $drawn->straight($points) : $drawn->closed($points);
        }
        $drawn->finish();
        $this->traced[$id] = Cairo::made('copy_path', $this->context);

        return $chords;
    }

    private function chords(Path $path): Chords
    {
        $id = spl_object_id($path);
        $chords = $this->chords[$id] ?? null;
        if ($chords === null || $chords->map !== $this->map) {
            $chords = Chords::of($path, $this->map, $this->left, $this->top, $this->context);
            isset($this->traced[$id]) && Cairo::call('path_destroy', $this->traced[$id]);
            unset($this->traced[$id]);
            [$this->chords[$id], $this->paths[$id]] = [$chords, $path];
        }

        return $chords;
    }

    private function path(): CanvasPath
    {
        return new CanvasPath($this->context, $this->width + 2 * self::RIM, $this->height + 2 * self::RIM);
    }
}
