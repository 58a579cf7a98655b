<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Colour\Srgb;
use TallCrow\Effect\Inking\CastShadow;
use TallCrow\Effect\Inking\Filling;
use TallCrow\Effect\Inking\GradientPaint;
use TallCrow\Effect\Inking\Hatching;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inking\LetterColours;
use TallCrow\Effect\Inking\Part;
use TallCrow\Effect\Inking\PatternPaint;
use TallCrow\Effect\Inking\Solid;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Raster\Canvas;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Coverage;
use TallCrow\Raster\Image;
use TallCrow\Raster\Laid;
use TallCrow\Type\Letter;

/**
 * Inks one piece: shadows, rings from the outermost inwards, then its body. A body of one colour is its outline filled; any other body is painted as a page
 * of colours that the body's shape clips at the end.
 */
final class InkPainter
{
    private readonly Srgb $white;

    private readonly Box $box;

    private readonly LetterFills $fills;

    /**
     * @param  non-empty-list<Letter>  $letters  on the sheet, in inches
     * @param  ?Image  $own  the piece's own pixels (a picture), as large as the window; null where its outline is filled
     */
    public function __construct(
        private readonly PatternPainter $patterns,
        private readonly array $letters,
        private readonly Inking $inking,
        private readonly Frame $frame,
        private readonly InkOutlines $outlines,
        private readonly ?Image $own = null,
    ) {
        $this->white = Srgb::of(255, 255, 255);
        $this->box = $this->outlines->plain()->bounds();
        $this->fills = new LetterFills($letters, $frame->ppi, $inking->grown, $own !== null, $this->box);
    }

    public function paint(): Image
    {
        $canvas = $this->canvas($this->inking->shadows === [] && $this->inking->rings === [] && $this->inking->backing === null);
        $this->behind($canvas);
        $body = null;
        if ($this->isPlain()) {
            $this->plain($canvas);
        } else {
            $body = $this->body();
        }
        $ink = $canvas->isEmpty() ? null : $canvas->ink();

        return $ink !== null && $body !== null
            ? Composition::stacked($this->frame->width, $this->frame->height, [Laid::over($ink, 0, 0), Laid::over($body, 0, 0)])
            : ($ink ?? $body ?? Image::empty($this->frame->width, $this->frame->height));
    }

    private function behind(Canvas $canvas): void
    {
        foreach (array_reverse($this->inking->shadows, true) as $i => $shadow) {
            $canvas->colour($shadow->colour);
            $shadow->solid ? $canvas->cover($this->block($i)) : $canvas->within(fn () => $canvas->fill($this->outlines->casting()), $shadow->x, $shadow->y);
        }
        foreach (array_reverse($this->inking->rings, true) as $i => $ring) {
            if ($ring->colour !== null) {
                $canvas->colour($ring->colour);
                $this->outlines->ring($canvas, $i);
            } elseif (! $canvas->isEmpty()) {
                $canvas->takingOut(fn () => $this->outlines->ring($canvas, $i));
            }
            $free = $this->outlines->free($i);
            $free === null || $canvas->takingOut(fn () => $canvas->fill($free));
        }
        if ($this->inking->hollow && ! $canvas->isEmpty()) {
            $canvas->takingOut(fn () => $this->outlines->hollow($canvas));
        }
        if ($this->inking->backing !== null) {
            $canvas->colour($this->inking->backing);
            $canvas->cover($this->backed());
        }
    }

    /** The coverage of the backing behind the body: none of it shows along the body's own edge, where a proof's pixels hold both of their edges. */
    private function backed(): Image
    {
        $page = $this->canvas();
        $page->fill($this->outlines->backing());

        return Coverage::behind($page->mask(), $this->shape());
    }

    /** The coverage of a solid shadow behind the piece and behind the solid shadows nearer to it. */
    private function block(int $number): Image
    {
        $page = $this->canvas();
        $this->outlines->outermost($page);
        $over = $page->mask();
        foreach (array_slice($this->inking->shadows, 0, $number) as $nearer) {
            $over = $nearer->solid ? $over->lighter($this->swept($nearer)) : $over;
        }

        return Coverage::behind($this->swept($this->inking->shadows[$number]), $over);
    }

    private function swept(CastShadow $shadow): Image
    {
        $from = $this->outlines->under(hypot($shadow->x, $shadow->y));
        $page = $this->canvas();
        $page->fill($this->outlines->casting()->transformed(Affine::shift($from * $shadow->x, $from * $shadow->y))->swept((1 - $from) * $shadow->x, (1 - $from) * $shadow->y));

        return $page->mask();
    }

    /** Whether the body is its outline filled with one plain colour. */
    private function isPlain(): bool
    {
        return $this->own === null && ! $this->inking->hollow && $this->inking->inlines === [] && $this->inking->hatchings === []
            && count($this->inking->fills) === 1 && ($this->inking->fills[0]->paint instanceof Solid || $this->inking->fills[0]->paint instanceof GradientPaint);
    }

    private function plain(Canvas $canvas): void
    {
        $paint = $this->inking->fills[0]->paint;
        if ($paint instanceof GradientPaint) {
            LetterFills::gradient($canvas, $paint, $this->box);
        } elseif ($paint instanceof Solid) {
            $canvas->colour($paint->colour);
        }
        $this->outlines->body($canvas);
    }

    private function body(): Image
    {
        $page = $this->inking->hollow ? [] : $this->filled();
        $lines = $this->lines();
        if ($this->own !== null && $lines === null && $this->inking->fills === [] && $this->inking->hatchings === [] && ! $this->inking->hollow) {
            return $this->own;
        }
        $lines === null || $page[] = Laid::over($lines, 0, 0);
        foreach ($this->inking->hatchings as $hatching) {
            $page[] = $this->hatched($hatching);
        }

        return Composition::stacked($this->frame->width, $this->frame->height, $page)->masked($this->shape());
    }

    /** @return list<Laid> colours over the whole body and a little beyond its edges */
    private function filled(): array
    {
        $page = [];
        $over = $this->covering();
        if ($this->own !== null && ! $over) {
            $page[] = Laid::over($this->own->withAlpha(Image::empty($this->frame->width, $this->frame->height, 1)->inverted()), 0, 0);
        }
        $canvas = $this->canvas();
        foreach ($this->inking->fills as $at => $filling) {
            $numbers = $this->shown($at);
            if ($filling->paint instanceof PatternPaint && $numbers !== []) {
                $canvas->isEmpty() || $page[] = Laid::over($canvas->ink(), 0, 0);
                $canvas = $this->canvas();
                array_push($page, ...$this->pattern($filling, $filling->paint, $numbers));
            } elseif ($numbers !== []) {
                $this->fills->paint($canvas, $filling, $numbers);
            }
        }
        $canvas->isEmpty() || $page[] = Laid::over($canvas->ink(), 0, 0);

        return $page;
    }

    /** Whether a fill hides all of the piece's own pixels. */
    private function covering(): bool
    {
        $first = $this->inking->fills[0] ?? null;

        return $first !== null && $first->aim->part === Part::All
            && ($first->paint instanceof Solid || $first->paint instanceof GradientPaint || $first->paint instanceof LetterColours || $first->paint instanceof PatternPaint && $first->paint->isPaper);
    }

    /**
     * The letters in which a fill shows: those that no later fill covers entirely.
     *
     * @return list<int>
     */
    private function shown(int $at): array
    {
        $later = array_filter(array_slice($this->inking->fills, $at + 1), fn (Filling $filling): bool => ! $filling->aim->part->isHalf() && ! $filling->paint instanceof PatternPaint);
        $seen = [];
        foreach ($this->letters as $i => $letter) {
            $covered = array_filter($later, fn (Filling $filling): bool => $filling->aim->holds($letter, $i));
            if ($covered === [] && $this->inking->fills[$at]->aim->holds($letter, $i)) {
                $seen[] = $i;
            }
        }

        return $seen;
    }

    /**
     * @param  list<int>  $numbers
     * @return list<Laid>
     */
    private function pattern(Filling $filling, PatternPaint $paint, array $numbers): array
    {
        if (! $paint->each) {
            $image = $this->patterns->paint($paint, $this->box, $this->frame);

            return [Laid::over($filling->aim->part === Part::All ? $image : $image->masked($this->aimed($filling, $numbers, $this->frame)), 0, 0)];
        }
        $laid = [];
        foreach ($numbers as $i) {
            $own = $this->letters[$i]->path->bounds();
            $window = $this->frame->within($own->grown(max(0.0, $this->inking->grown) + 3 / $this->frame->ppi));
            if ($window !== null) {
                $laid[] = Laid::over($this->patterns->paint($paint, $own, $window, $i)->masked($this->aimed($filling, [$i], $window))->settled(), $window->left - $this->frame->left, $window->top - $this->frame->top);
            }
        }

        return $laid;
    }

    /**
     * The mask of a fill that is meant for some letters: one band.
     *
     * @param  list<int>  $numbers
     */
    private function aimed(Filling $filling, array $numbers, Frame $window): Image
    {
        $canvas = new Canvas($window->width, $window->height, $window->fromInches());
        $this->fills->paint($canvas, new Filling($filling->aim, new Solid($this->white)), $numbers);

        return $canvas->mask();
    }

    /** The inside rings, the innermost first, each over the one before. */
    private function lines(): ?Image
    {
        $canvas = $this->canvas();
        foreach (array_reverse($this->inking->inlines, true) as $i => $ring) {
            if ($ring->colour !== null) {
                $canvas->colour($ring->colour);
                $this->outlines->inside($canvas, $i);
            } elseif (! $canvas->isEmpty()) {
                $canvas->takingOut(fn () => $this->outlines->inside($canvas, $i));
            }
        }

        return $canvas->isEmpty() ? null : $canvas->ink();
    }

    private function hatched(Hatching $hatching): Laid
    {
        $canvas = $this->canvas();
        $canvas->colour($hatching->colour ?? $this->white);
        $box = $this->box->grown(max(0.0, $this->inking->grown));
        $reach = hypot($box->width(), $box->height()) / 2 + $hatching->spacing;
        $canvas->within(function () use ($canvas, $reach, $hatching): void {
            $last = (int) floor($reach / $hatching->spacing);
            $canvas->lines(array_map(fn (int $i): array => [[-$reach, $i * $hatching->spacing], [$reach, $i * $hatching->spacing]], range(-$last, $last)), $hatching->width);
        }, $box->centreX(), $box->centreY(), $hatching->angle);
        if ($hatching->inset > 0) {
            $canvas->takingOut(fn () => $this->outlines->rim($canvas, $hatching->inset));
        }
        $ink = $canvas->ink();

        return $hatching->colour === null ? Laid::takingOut($ink, 0, 0) : Laid::over($ink, 0, 0);
    }

    /** The coverage of the body: one band. */
    private function shape(): Image
    {
        $own = $this->own?->alpha();
        if ($own !== null && $this->inking->grown == 0.0) {
            return $own;
        }
        $canvas = $this->canvas();
        $canvas->colour($this->white);
        $this->outlines->body($canvas);
        $body = $canvas->mask();

        return match (true) {
            $own === null => $body,
            $this->inking->grown > 0 => $own->lighter($body),
            default => $own->lesser($body),
        };
    }

    private function canvas(bool $isOfOneColour = true): Canvas
    {
        return new Canvas($this->frame->width, $this->frame->height, $this->frame->fromInches(), $isOfOneColour);
    }
}
