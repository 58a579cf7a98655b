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
use TallCrow\Geometry\Outline;
use TallCrow\Geometry\Path;
use TallCrow\Raster\Image;
use TallCrow\Type\Letter;

/** Gathers marks of one piece, the lowest first, and paints them all at once. */
final class Marks
{
    private string $defs = '';

    private string $body = '';

    private int $named = 0;

    private ?string $stroked = null;

    private ?Path $whole = null;

    /** @param  list<Letter>  $letters  on the sheet, in inches */
    public function __construct(
        private readonly array $letters,
        private readonly Frame $frame,
    ) {}

    public function isEmpty(): bool
    {
        return $this->body === '';
    }

    /** What was gathered; gathering begins anew. */
    public function painted(): Image
    {
        $image = SvgPainter::page($this->frame, "<defs>{$this->defs}</defs>{$this->body}");
        $this->defs = $this->body = '';
        $this->stroked = null;

        return $image;
    }

    /** The whole outline moved out by so many inches. */
    public function grown(float $by, Srgb $colour, Join $join = Join::Round, float $limit = 4.0, float $x = 0.0, float $y = 0.0): void
    {
        $shift = $x == 0.0 && $y == 0.0 ? '' : sprintf(' transform="translate(%.5f %.5f)"', $x, $y);
        $this->body .= sprintf('<use href="#%s" fill="%s"%s%s/>', $this->outline(), $colour->toHex(), self::stroke($by, $colour->toHex(), $join, $limit), $shift);
    }

    /** A line along the outline, half of it inside. */
    public function line(float $width, Srgb $colour): void
    {
        $this->body .= sprintf('<use href="#%s" fill="none"%s/>', $this->outline(), self::stroke($width / 2, $colour->toHex(), Join::Round, 4.0));
    }

    public function shadow(CastShadow $shadow, float $reach, ?Ring $outer): void
    {
        [$join, $limit] = [$outer->join ?? Join::Round, $outer->mitreLimit ?? 4.0];
        $this->grown($reach, $shadow->colour, $join, $limit, $shadow->x, $shadow->y);
        if ($shadow->solid) {
            $swept = $this->whole()->forStroking(SvgPainter::tolerance($this->frame))->swept($shadow->x, $shadow->y);
            $this->body .= sprintf('<path d="%s" fill="%s"%s/>', $swept->toSvg(), $shadow->colour->toHex(), self::stroke($reach, $shadow->colour->toHex(), Join::Round, 4.0));
            $this->grown($reach, $shadow->colour, $join, $limit);
        }
    }

    /** A fill of the outline or, where the ink is not the outline's own, of the boxes about its letters. */
    public function fill(Filling $filling, float $grown, bool $boxes): void
    {
        $paint = $filling->paint;
        $colour = match (true) {
            $paint instanceof Solid => $paint->colour->toHex(),
            $paint instanceof GradientPaint => sprintf('url(#%s)', $this->gradient($paint)),
            default => '',
        };
        if ($colour !== '' && $filling->aim->part === \TallCrow\Effect\Inking\Part::All && ! $boxes) {
            $this->body .= sprintf('<use href="#%s" fill="%s"%s/>', $this->outline($grown > 0), $colour, self::stroke(max(0.0, $grown), $colour, Join::Round, 4.0));

            return;
        }
        $count = count($this->letters);
        foreach ($this->letters as $i => $letter) {
            if ($filling->aim->holds($letter, $i)) {
                $own = $paint instanceof LetterColours ? $paint->colour($i, $count)->toHex() : $colour;
                $this->letter($letter, $filling->aim, $own, max(0.0, $grown), $boxes);
            }
        }
    }

    public function letter(Letter $letter, Aim $aim, string $colour, float $grown, bool $boxes): void
    {
        $box = $letter->path->bounds();
        $half = $aim->half($box);
        // The halves meet in the middle and reach as far as ink does elsewhere.
        $far = $grown + 0.5;
        $clip = new Box(
            $half->left > $box->left ? $half->left : $box->left - $far, $half->top > $box->top ? $half->top : $box->top - $far,
            $half->right < $box->right ? $half->right : $box->right + $far, $half->bottom < $box->bottom ? $half->bottom : $box->bottom + $far,
        );
        if ($boxes) {
            $this->body .= sprintf('<path d="%s" fill="%s"/>', self::rectangle($clip), $colour);

            return;
        }
        $attributes = '';
        if ($aim->part->isHalf()) {
            $id = 'c'.++$this->named;
            $this->defs .= sprintf('<clipPath id="%s"><path d="%s"/></clipPath>', $id, self::rectangle($clip));
            $attributes = " clip-path=\"url(#$id)\"";
        }
        $path = $grown > 0 ? $letter->path->forStroking(SvgPainter::tolerance($this->frame)) : $letter->path;
        $this->body .= sprintf('<path d="%s" fill="%s"%s%s/>', $path->toSvg(), $colour, self::stroke($grown, $colour, Join::Round, 4.0), $attributes);
    }

    /** Parallel lines over the whole piece. */
    public function hatching(float $spacing, float $width, float $angle, Box $box): void
    {
        $reach = hypot($box->width(), $box->height()) / 2 + $spacing;
        $lines = '';
        for ($y = -floor($reach / $spacing) * $spacing; $y <= $reach; $y += $spacing) {
            $lines .= sprintf('M%.5f %.5fH%.5f', -$reach, $y, $reach);
        }
        $this->body .= sprintf('<path d="%s" transform="translate(%.5f %.5f) rotate(%.4f)" stroke="#fff" stroke-width="%.5f"/>', $lines, $box->centreX(), $box->centreY(), $angle, $width);
    }

    public function whole(): Path
    {
        return $this->whole ??= Letter::together($this->letters);
    }

    private function outline(bool $stroked = true): string
    {
        if ($this->stroked === null) {
            $this->stroked = 'p';
            $path = $stroked ? $this->whole()->forStroking(SvgPainter::tolerance($this->frame)) : $this->whole();
            $this->defs .= sprintf('<path id="p" d="%s"/>', $path->toSvg());
        }

        return $this->stroked;
    }

    private function gradient(GradientPaint $paint): string
    {
        $id = 'g'.++$this->named;
        $box = $this->whole()->bounds();
        [$x, $y] = [cos(deg2rad($paint->angle)), sin(deg2rad($paint->angle))];
        // As far as the corners lie along the way.
        $half = (abs($x) * $box->width() + abs($y) * $box->height()) / 2;
        $stops = '';
        $last = max(1, count($paint->colours) - 1);
        foreach ($paint->colours as $i => $colour) {
            $stops .= sprintf('<stop offset="%.5f" stop-color="%s"/>', $i / $last, $colour->toHex());
        }
        $this->defs .= sprintf(
            '<linearGradient id="%s" gradientUnits="userSpaceOnUse" x1="%.5f" y1="%.5f" x2="%.5f" y2="%.5f">%s</linearGradient>',
            $id, $box->centreX() - $x * $half, $box->centreY() - $y * $half, $box->centreX() + $x * $half, $box->centreY() + $y * $half, $stops,
        );

        return $id;
    }

    private static function rectangle(Box $box): string
    {
        return Outline::rectangle($box->width(), $box->height())->transformed(\TallCrow\Geometry\Affine::shift($box->centreX(), $box->centreY()))->toSvg();
    }

    private static function stroke(float $reach, string $colour, Join $join, float $limit): string
    {
        return $reach <= 0 ? '' : sprintf(' stroke="%s" stroke-width="%.5f" stroke-linejoin="%s" stroke-miterlimit="%.3f"', $colour, 2 * $reach, $join->svg(), $limit);
    }
}
