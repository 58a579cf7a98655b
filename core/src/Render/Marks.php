<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Colour\Srgb;
use TallCrow\Effect\Inking\Aim;
use TallCrow\Effect\Inking\CastShadow;
use TallCrow\Effect\Inking\Filling;
use TallCrow\Effect\Inking\GradientPaint;
use TallCrow\Effect\Inking\Join;
use TallCrow\Effect\Inking\LetterColours;
use TallCrow\Effect\Inking\Ring;
use TallCrow\Effect\Inking\Solid;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Path;
use TallCrow\Raster\Canvas;
use TallCrow\Raster\Image;
use TallCrow\Type\Letter;

/** Draws the marks of one piece over one another. Paths are in inches on the sheet. */
final class Marks
{
    /** Below this ppi a picture is a proof, and the edges of a piece with very many strokes may be a little coarser. */
    private const PRINT = 150.0;

    private const VERY_MANY = 9000;

    /** Pixels by which a chord may stray: finer than the eye, and no finer than need be; where edges are coarser, this. */
    private const FINE = 0.1;

    private const COARSE = 0.3;

    private ?bool $coarse = null;

    private ?Canvas $canvas = null;

    /** @var array<int, Path> letters fit to be stroked */
    private array $fit = [];

    private ?Path $whole = null;

    /**
     * @param  list<Letter>  $letters
     * @param  int  $strokes  how often the outline is going to be stroked
     */
    public function __construct(
        private readonly array $letters,
        private readonly Frame $frame,
        private readonly int $strokes = 0,
    ) {}

    public function isEmpty(): bool
    {
        return $this->canvas === null;
    }

    /** What was drawn, as ink; drawing begins anew. */
    public function ink(): Image
    {
        $image = $this->canvas()->ink();
        $this->canvas = null;

        return $image;
    }

    /** Where anything was drawn: one band; drawing begins anew. */
    public function mask(): Image
    {
        $image = $this->canvas()->mask();
        $this->canvas = null;

        return $image;
    }

    /** The whole outline moved out by so many inches; without its middle where that is covered anyway. */
    public function grown(float $by, Srgb $colour, Join $join = Join::Round, float $limit = 4.0, bool $middle = true): void
    {
        $canvas = $this->canvas();
        $canvas->colour($colour);
        foreach (array_keys($this->letters) as $i) {
            if ($middle) {
                $canvas->fill($this->fit($i));
            }
            if ($by > 0) {
                $canvas->stroke($this->fit($i), 2 * $by, $join->svg(), $limit);
            }
        }
    }

    /** A line along the outline, half of it inside. */
    public function line(float $width, Srgb $colour): void
    {
        $this->grown($width / 2, $colour, middle: false);
    }

    public function shadow(CastShadow $shadow, float $reach, ?Ring $outer): void
    {
        [$join, $limit] = [$outer->join ?? Join::Round, $outer->mitreLimit ?? 4.0];
        $this->canvas()->within(fn () => $this->grown($reach, $shadow->colour, $join, $limit), $shadow->x, $shadow->y);
        if ($shadow->solid) {
            $this->canvas()->colour($shadow->colour);
            foreach (array_keys($this->letters) as $i) {
                $swept = $this->fit($i)->swept($shadow->x, $shadow->y);
                $this->canvas()->fill($swept);
                if ($reach > 0) {
                    $this->canvas()->stroke($swept, 2 * $reach);
                }
            }
        }
    }

    /**
     * A fill of the outline or, where the ink is not the outline's own, of the boxes about its letters.
     *
     * @param  list<int>  $numbers  of the letters that it is for
     */
    public function fill(Filling $filling, array $numbers, float $grown, bool $boxes): void
    {
        $paint = $filling->paint;
        if ($paint instanceof GradientPaint) {
            $this->gradient($paint);
        } else {
            $this->canvas()->colour($paint instanceof Solid ? $paint->colour : Srgb::of(255, 255, 255));
        }
        $count = count($this->letters);
        foreach ($numbers as $i) {
            if ($paint instanceof LetterColours) {
                $this->canvas()->colour($paint->colour($i, $count));
            }
            $this->letter($i, $filling->aim, $grown, $boxes);
        }
    }

    /** Parallel lines over the whole piece. */
    public function hatching(float $spacing, float $width, float $angle, Box $box): void
    {
        $reach = hypot($box->width(), $box->height()) / 2 + $spacing;
        $canvas = $this->canvas();
        $canvas->colour(Srgb::of(255, 255, 255));
        $canvas->within(function () use ($canvas, $reach, $spacing, $width): void {
            for ($y = -floor($reach / $spacing) * $spacing; $y <= $reach; $y += $spacing) {
                $canvas->line(-$reach, $y, $reach, $y, $width);
            }
        }, $box->centreX(), $box->centreY(), $angle);
    }

    public function whole(): Path
    {
        return $this->whole ??= Letter::together($this->letters);
    }

    private function letter(int $number, Aim $aim, float $grown, bool $boxes): void
    {
        $canvas = $this->canvas();
        $box = $this->letters[$number]->path->bounds();
        $half = $aim->half($box);
        // The halves meet in the middle and reach as far as ink does elsewhere.
        $far = max(0.0, $grown) + 0.5;
        $clip = new Box(
            $half->left > $box->left ? $half->left : $box->left - $far, $half->top > $box->top ? $half->top : $box->top - $far,
            $half->right < $box->right ? $half->right : $box->right + $far, $half->bottom < $box->bottom ? $half->bottom : $box->bottom + $far,
        );
        if ($boxes) {
            $canvas->rectangle($clip);

            return;
        }
        $draw = function () use ($canvas, $number, $grown): void {
            $canvas->fill($grown > 0 || isset($this->fit[$number]) ? $this->fit($number) : $this->letters[$number]->path);
            if ($grown > 0) {
                $canvas->stroke($this->fit($number), 2 * $grown);
            }
        };
        $aim->part->isHalf() ? $canvas->within($draw, clip: $clip) : $draw();
    }

    private function gradient(GradientPaint $paint): void
    {
        $box = $this->whole()->bounds();
        [$x, $y] = [cos(deg2rad($paint->angle)), sin(deg2rad($paint->angle))];
        // As far as the corners lie along the way.
        $half = (abs($x) * $box->width() + abs($y) * $box->height()) / 2;
        $this->canvas()->gradient($box->centreX() - $x * $half, $box->centreY() - $y * $half, $box->centreX() + $x * $half, $box->centreY() + $y * $half, $paint->colours);
    }

    private function fit(int $number): Path
    {
        return $this->fit[$number] ??= $this->letters[$number]->path->forStroking(($this->isCoarse() ? self::COARSE : self::FINE) / $this->frame->ppi);
    }

    private function canvas(): Canvas
    {
        return $this->canvas ??= new Canvas(
            $this->frame->width, $this->frame->height, $this->frame->fromInches(),
            $this->isCoarse(),
        );
    }

    private function isCoarse(): bool
    {
        return $this->coarse ??= $this->frame->ppi < self::PRINT
            && $this->strokes * array_sum(array_map(fn (Letter $letter): int => count($letter->path->segments), $this->letters)) > self::VERY_MANY;
    }
}
