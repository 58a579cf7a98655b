<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Colour\Srgb;
use TallCrow\Effect\Inking\Aim;
use TallCrow\Effect\Inking\Filling;
use TallCrow\Effect\Inking\GradientPaint;
use TallCrow\Effect\Inking\LetterColours;
use TallCrow\Effect\Inking\Solid;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Path;
use TallCrow\Raster\Canvas;
use TallCrow\Type\Letter;

/**
 * Paints the fills of letters on a page, each a little beyond its letters' edges. The body's shape clips the page afterwards, so that every edge pixel has
 * the colour of its own letter and coverage is applied once.
 */
final readonly class LetterFills
{
    /** Pixels by which colour extends beyond the edge that will clip it. */
    private const BEYOND = 1.5;

    /** Inches by which the half-plane that stands for a letter's half extends beyond the letter. */
    private const FAR = 2.0;

    /** @param  non-empty-list<Letter>  $letters */
    public function __construct(
        private array $letters,
        private float $ppi,
        private float $grown,
        /** Whether the ink comes from elsewhere than the letters' outlines, so that boxes about the letters are filled. */
        private bool $boxes,
        private Box $box,
    ) {}

    /** @param  list<int>  $numbers  indexes of the letters that it applies to */
    public function paint(Canvas $canvas, Filling $filling, array $numbers): void
    {
        $paint = $filling->paint;
        if ($paint instanceof GradientPaint) {
            self::gradient($canvas, $paint, $this->box);
        } else {
            $canvas->colour($paint instanceof Solid ? $paint->colour : Srgb::of(255, 255, 255));
        }
        foreach ($numbers as $i) {
            if ($paint instanceof LetterColours) {
                $canvas->colour($paint->colour($i, count($this->letters)));
            }
            $this->letter($canvas, $this->letters[$i], $filling->aim);
        }
    }

    public static function gradient(Canvas $canvas, GradientPaint $paint, Box $box): void
    {
        [$x, $y] = [cos(deg2rad($paint->angle)), sin(deg2rad($paint->angle))];
        // Half the extent of the box along the gradient's direction.
        $half = (abs($x) * $box->width() + abs($y) * $box->height()) / 2;
        $canvas->gradient($box->centreX() - $x * $half, $box->centreY() - $y * $half, $box->centreX() + $x * $half, $box->centreY() + $y * $half, $paint->colours);
    }

    private function letter(Canvas $canvas, Letter $letter, Aim $aim): void
    {
        $draw = function () use ($canvas, $letter): void {
            if ($this->boxes) {
                $canvas->rectangle($letter->path->bounds()->grown(self::FAR));

                return;
            }
            $canvas->fill($letter->path);
            $canvas->stroke($letter->path, 2 * (max(0.0, $this->grown) + self::BEYOND / $this->ppi));
        };
        $aim->part->isHalf() ? $canvas->within($draw, clip: self::half($letter, $aim)) : $draw();
    }

    /** Halves are cut along the axes of the unturned, unbent letter. */
    private static function half(Letter $letter, Aim $aim): Path
    {
        $axes = new Affine($letter->right[0], $letter->right[1], $letter->down[0], $letter->down[1], 0, 0);
        $box = $letter->path->transformed($axes->inverse())->bounds();
        $half = $aim->half($box);
        $beyond = new Box(
            $half->left > $box->left ? $half->left : $box->left - self::FAR, $half->top > $box->top ? $half->top : $box->top - self::FAR,
            $half->right < $box->right ? $half->right : $box->right + self::FAR, $half->bottom < $box->bottom ? $half->bottom : $box->bottom + self::FAR,
        );

        return Path::polygon([[$beyond->left, $beyond->top], [$beyond->right, $beyond->top], [$beyond->right, $beyond->bottom], [$beyond->left, $beyond->bottom]])->transformed($axes);
    }
}
