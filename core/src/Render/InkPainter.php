<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Colour\Srgb;
use TallCrow\Effect\Inking\Filling;
use TallCrow\Effect\Inking\Hatching;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inking\Part;
use TallCrow\Effect\Inking\PatternPaint;
use TallCrow\Effect\Inking\Ring;
use TallCrow\Effect\Inking\Solid;
use TallCrow\Geometry\Box;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\Laid;
use TallCrow\Type\Letter;

/**
 * Inks one piece: shadows, rings from the outermost inwards, fills, rings inside, hatching. What needs no pixels of its
 * own is gathered and painted in one go.
 */
final class InkPainter
{
    /** @var list<Laid> */
    private array $laid = [];

    private Marks $marks;

    private Srgb $white;

    private Box $box;

    /**
     * @param  non-empty-list<Letter>  $letters  on the sheet, in inches
     * @param  ?Image  $own  the ink that the piece has of itself, as large as the window; null where its outline is filled
     */
    public function __construct(
        private readonly PatternPainter $patterns,
        private readonly array $letters,
        private readonly Frame $frame,
        private readonly ?Image $own = null,
    ) {
        $this->marks = new Marks($letters, $frame);
        $this->white = Srgb::of(255, 255, 255);
        $this->box = $this->marks->whole()->bounds();
    }

    public function paint(Inking $inking): Image
    {
        $this->marks = new Marks($this->letters, $this->frame, count($inking->rings));
        $this->behind($inking);
        if ($inking->hollow) {
            $this->takeOut($inking->grown);
        } else {
            $this->body($inking);
        }
        $this->inside($inking);
        foreach ($inking->hatchings as $hatching) {
            $this->hatch($hatching, $inking->grown);
        }
        $this->flush();

        return Composition::stacked($this->frame->width, $this->frame->height, $this->laid);
    }

    private function behind(Inking $inking): void
    {
        $outer = $inking->rings === [] ? null : $inking->rings[count($inking->rings) - 1];
        foreach (array_reverse($inking->shadows) as $shadow) {
            $this->marks->shadow($shadow, $inking->reach(), $outer);
        }
        $reach = $inking->reach();
        // Where a fill lies over all of the piece, nobody sees the middle of a ring.
        $covered = $this->own === null && ! $inking->hollow && $inking->grown >= 0 && ($inking->fills[0]->aim->part ?? null) === Part::All
            && array_filter($inking->rings, fn (Ring $ring): bool => $ring->colour === null) === [];
        foreach (array_reverse($inking->rings) as $ring) {
            if ($ring->colour === null) {
                $this->takeOut($reach);
            } else {
                $this->marks->grown($reach, $ring->colour, $ring->join, $ring->mitreLimit, ! $covered);
            }
            $reach -= $ring->width;
        }
        if ($outer !== null && $inking->rings[0]->colour === null) {
            $this->takeOut($reach + $inking->rings[0]->width);
        }
    }

    private function body(Inking $inking): void
    {
        if ($this->own !== null) {
            $this->flush();
            $this->laid[] = Laid::over($this->own, 0, 0);
        }
        foreach ($inking->fills as $at => $filling) {
            $numbers = $this->shown($inking, $at);
            if ($numbers === []) {
                continue;
            }
            if ($filling->paint instanceof PatternPaint) {
                $this->pattern($filling, $filling->paint, $numbers, $inking->grown);
            } elseif ($this->own !== null || $inking->grown < 0) {
                $this->flush();
                $this->marks->fill($filling, $numbers, 0.0, $this->own !== null);
                $this->laid[] = Laid::over($this->marks->ink()->masked($this->shape($inking->grown)), 0, 0);
            } else {
                $this->marks->fill($filling, $numbers, $inking->grown, false);
            }
        }
    }

    /**
     * The letters of which a fill is seen: those that no later one covers whole, since edge over edge would show as a
     * fringe.
     *
     * @return list<int>
     */
    private function shown(Inking $inking, int $at): array
    {
        $later = array_filter(array_slice($inking->fills, $at + 1), fn (Filling $filling): bool => ! $filling->aim->part->isHalf());
        $seen = [];
        foreach ($this->letters as $i => $letter) {
            $covered = array_filter($later, fn (Filling $filling): bool => $filling->aim->holds($letter, $i));
            if ($covered === [] && $inking->fills[$at]->aim->holds($letter, $i)) {
                $seen[] = $i;
            }
        }

        return $seen;
    }

    /** @param  list<int>  $numbers */
    private function pattern(Filling $filling, PatternPaint $paint, array $numbers, float $grown): void
    {
        $this->flush();
        if (! $paint->each) {
            $mask = $this->aimed($filling, $numbers, $grown, $this->frame);
            $this->laid[] = Laid::over($this->patterns->paint($paint, $this->box, $this->frame)->masked($mask), 0, 0);

            return;
        }
        foreach ($numbers as $i) {
            $own = $this->letters[$i]->path->bounds();
            $window = $this->frame->within($own->grown(max(0.0, $grown) + 2 / $this->frame->ppi));
            if ($window !== null) {
                $mask = $this->aimed($filling, [$i], $grown, $window);
                $this->laid[] = Laid::over($this->patterns->paint($paint, $own, $window, $i)->masked($mask)->settled(), $window->left - $this->frame->left, $window->top - $this->frame->top);
            }
        }
    }

    /**
     * Where a fill of some letters goes: one band.
     *
     * @param  list<int>  $numbers
     */
    private function aimed(Filling $filling, array $numbers, float $grown, Frame $window): Image
    {
        $marks = new Marks($this->letters, $window);
        $marks->fill(new Filling($filling->aim, new Solid($this->white)), $numbers, max(0.0, $grown), $this->own !== null);
        $mask = $marks->mask();

        return $this->own === null && $grown >= 0
            ? $mask
            : $mask->times($this->shape($grown)->crop($window->left - $this->frame->left, $window->top - $this->frame->top, $window->width, $window->height));
    }

    private function inside(Inking $inking): void
    {
        $depth = 0.0;
        foreach ($inking->inlines as $ring) {
            $this->inline($ring, $inking->grown - $depth);
            $depth += $ring->width;
        }
    }

    private function inline(Ring $ring, float $from): void
    {
        if ($ring->colour !== null) {
            $this->flush();
            $mask = $this->shape($from)->times($this->shape($from - $ring->width)->inverted());
            $this->laid[] = Laid::over(Image::flat($ring->colour, $mask), 0, 0);
        }
    }

    private function hatch(Hatching $hatching, float $grown): void
    {
        $this->flush();
        $this->marks->hatching($hatching->spacing, $hatching->width, $hatching->angle, $this->box->grown(max(0.0, $grown)));
        $mask = $this->marks->mask()->times($this->shape($grown - $hatching->inset));
        $this->laid[] = $hatching->colour === null
            ? Laid::takingOut(Image::flat($this->white, $mask), 0, 0)
            : Laid::over(Image::flat($hatching->colour, $mask), 0, 0);
    }

    private function takeOut(float $grown): void
    {
        $this->flush();
        if ($this->laid !== []) {
            $this->laid[] = Laid::takingOut(Image::flat($this->white, $this->shape($grown)), 0, 0);
        }
    }

    /** The shape of the piece, its edge moved out (or, below nothing, in) by inches: one band. */
    private function shape(float $moved): Image
    {
        if ($this->own !== null && abs($moved) < 1e-9) {
            return $this->own->alpha();
        }
        $marks = new Marks($this->letters, $this->frame);
        $marks->grown(max(0.0, $moved), $this->white);
        $shape = $marks->mask();
        if ($moved >= 0) {
            return $shape;
        }
        $marks->line(-2 * $moved, $this->white);

        return $shape->times($marks->mask()->inverted());
    }

    private function flush(): void
    {
        if (! $this->marks->isEmpty()) {
            $this->laid[] = Laid::over($this->marks->ink(), 0, 0);
        }
    }
}
