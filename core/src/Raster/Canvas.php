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

    private CData $surface;

    private CData $context;

    /** @var array<int, Chords> by the outline that they were made of */
    private array $chords = [];

    /** @var array<int, CData> the library's own, of those that were filled */
    private array $traced = [];

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
    private const TOLERANCE = 0.008;

    private bool $empty = true;

    /** What is drawn with, unless it is a gradient. */
    private Srgb $colour;

    /** How many things are drawn within one another. */
    private int $depth = 0;

    /** Pixels beside the page at which nothing shows. */
    private const BESIDE = 8.0;

    /** Steps of a pixel in which the library reckons. */
    public const FINEST = 256;

    /** From the page's units to pixels of the grid that all windows of a sheet share. */
    private Affine $map;

    /** Where the window's first pixel lies on that grid, the other way about, and the rim. */
    private readonly int $left;

    private readonly int $top;

    /**
     * @param  Affine  $toPixels  from the page's units to pixels, as large across as down
     * @param  bool  $isCoverage  whether the page holds coverage alone, a quarter of the bytes, which is enough for one colour: it is made anew for a second
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

    /** @return array{CData, CData} a surface, and what draws on it */
    private function page(): array
    {
        $surface = Cairo::made('image_surface_create', $this->isCoverage ? Cairo::A8 : Cairo::ARGB32, $this->across(), $this->height + 2 * self::RIM);
        if (Cairo::call('surface_status', $surface) !== 0) {
            throw RasterFailed::during('canvas', "no page of {$this->width} × {$this->height} pixels could be made");
        }
        $context = Cairo::made('create', $surface);
        // The library's own tenth of a pixel shows in the coverage of an edge.
        Cairo::call('set_tolerance', $context, self::TOLERANCE);

        return [$surface, $context];
    }

    /** Pixels of a row and its rim: rows of one byte each begin at whole words. */
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

    /** @param  list<Srgb>  $colours  evenly apart on the way from one point to the other */
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
        // The library lays bytes down as blue, green, red, alpha; told red for blue it lays them as they are wanted.
        Cairo::call('set_source_rgb', $this->context, $this->colour->blue / 255, $this->colour->green / 255, $this->colour->red / 255);
    }

    /** Makes a page for any colours of one that holds coverage alone. */
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

    /** Clears where it draws. */
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

    /** By the nonzero rule. */
    public function fill(Path $path): void
    {
        $this->empty = false;
        if ($path->isEmpty()) {
            return;
        }
        $chords = $this->trace($path);
        // Rectangles are reckoned exactly.
        $chords->isStraight || $this->teeth($chords->box);
        Cairo::call('fill', $this->context);
    }

    /** Fills as much of each pixel as a mask of the page's size has there. */
    public function cover(Image $mask): void
    {
        $page = new self($this->width, $this->height, new Affine(1, 0, 0, 1, 0, 0));
        $this->empty = false;
        Cairo::put($page->surface, $mask->embed(self::RIM, self::RIM, $this->across(), $this->height + 2 * self::RIM)->toBytes());
        Cairo::call('mask_surface', $this->context, $page->surface, 0.0, 0.0);
    }

    /** A line along the outline, half of it to either side, with round corners. */
    public function stroke(Path $path, float $width): void
    {
        $this->about($path, $width / 2, fn (CanvasPath $drawn, array $points, float $half) => $drawn->along($points, $half));
    }

    /**
     * An area with all that lies within a distance of it.
     *
     * @param  Path  $area  its contours with what they enclose to the left, none crossing itself, as a region's are; of several areas all together
     */
    public function grown(Path $area, float $by): void
    {
        $this->about($area, $by, fn (CanvasPath $drawn, array $points, float $pixels) => $drawn->grown($points, $pixels));
    }

    /** @param  \Closure(CanvasPath, list<float>, float): void  $draw  a contour, as far about it as is told in pixels */
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
     * An open line with round ends, as a brush leaves it.
     *
     * @param  non-empty-list<array{float, float}>  $points
     */
    public function brushed(array $points, float $width): void
    {
        // A dab is a line to where it began.
        $this->open([count($points) > 1 ? $points : [$points[0], $points[0]]], $width, true);
    }

    /**
     * Straight lines with blunt ends.
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

    /** Draws shifted, turned by degrees clockwise, or within an outline alone. */
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

    /** What was drawn, as ink. */
    public function ink(): Image
    {
        return ($this->isCoverage ? Image::flat($this->colour, $this->drawn()) : $this->drawn()->unpremultiplied())->settled();
    }

    /** Where anything was drawn: one band. */
    public function mask(): Image
    {
        return ($this->isCoverage ? $this->drawn() : $this->drawn()->band(3))->settled();
    }

    /** The page itself: it lives as long as this does. */
    private function drawn(): Image
    {
        Cairo::call('surface_flush', $this->surface);

        return Image::memory(Cairo::made('image_surface_get_data', $this->surface), $this->across(), $this->height + 2 * self::RIM, $this->isCoverage ? 1 : 4)
            ->crop(self::RIM, self::RIM, $this->width, $this->height);
    }

    /**
     * A point in the library's finest steps. They are told before the window's place is added, so that a point falls on the same step in every window.
     *
     * @return array{float, float}
     */
    private function pixel(float $x, float $y): array
    {
        [$x, $y] = $this->map->apply($x, $y);

        return [round($x * self::FINEST) / self::FINEST + $this->left, round($y * self::FINEST) / self::FINEST + $this->top];
    }

    /**
     * Puts a line of teeth beside the page, one to each row that the outline crosses. Where no line of an outline begins or ends in a row of pixels,
     * the library takes a short way by which a slanting edge is up to 17 of 255 levels off; which rows those are would hang on the page's size, too.
     */
    private function teeth(Box $box): void
    {
        $from = max(0, (int) floor($box->top) - 1);
        $to = min($this->height + 2 * self::RIM, (int) ceil($box->bottom) + 1);
        $left = -self::BESIDE;
        [$cairo, $context] = [Cairo::library(), $this->context];
        $cairo->cairo_move_to($context, $left, $from - 0.5);
        for ($row = $from; $row < $to; $row++) {
            // Lines that run on in one direction would be made one.
            $cairo->cairo_line_to($context, $left - ($row & 1) / 32, $row + 0.5);
        }
        $cairo->cairo_close_path($context);
    }

    /** Makes an outline the library's path. */
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
