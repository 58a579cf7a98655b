<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Layer;
use TallCrow\Raster\Blending;
use TallCrow\Raster\BlendMode;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\Laid;

/**
 * Collects pieces in order, and cuts knockouts out of those below. They are blended into one picture at the end only, so that a knockout can still cut the
 * single pieces that it names.
 */
final class Layering
{
    /** @var list<array{?string, Laid, BlendMode}> layer id, piece, and blend mode */
    private array $waiting = [];

    public function __construct(private readonly Frame $frame) {}

    public function isEmpty(): bool
    {
        return $this->waiting === [];
    }

    public function add(Layer $layer, Piece $piece, BlendMode $blend): void
    {
        $this->waiting[] = [$layer->id, Laid::over($piece->image, $piece->frame->left - $this->frame->left, $piece->frame->top - $this->frame->top), $blend];
    }

    /** Cuts a knockout out of all pieces so far, or only out of the layers that it names. */
    public function takeOut(Layer $layer, Piece $gap): void
    {
        if ($layer->role->from === []) {
            $this->waiting[] = [null, Laid::takingOut($gap->image, $gap->frame->left - $this->frame->left, $gap->frame->top - $this->frame->top), BlendMode::Normal];

            return;
        }
        foreach ($this->waiting as $i => [$id, $laid]) {
            if (in_array($id, $layer->role->from, true)) {
                $this->waiting[$i][1] = $this->without($laid, $gap);
            }
        }
    }

    public function picture(): Image
    {
        $pieces = [];
        foreach ($this->waiting as [, $laid, $blend]) {
            if ($blend === BlendMode::Normal) {
                $pieces[] = $laid;

                continue;
            }
            $below = $this->stacked($pieces);
            $here = $below->crop($laid->left, $laid->top, $laid->image->width(), $laid->image->height());
            $pieces = [Laid::over($below->insert(Blending::over($here, $laid->image, $blend), $laid->left, $laid->top), 0, 0)];
        }

        return $this->stacked($pieces);
    }

    /** @param  list<Laid>  $pieces */
    private function stacked(array $pieces): Image
    {
        return Composition::stacked($this->frame->width, $this->frame->height, $pieces);
    }

    private function without(Laid $laid, Piece $gap): Laid
    {
        [$left, $top] = [$this->frame->left + $laid->left, $this->frame->top + $laid->top];

        return Laid::over(Composition::stacked($laid->image->width(), $laid->image->height(), [
            Laid::over($laid->image, 0, 0),
            Laid::takingOut($gap->image, $gap->frame->left - $left, $gap->frame->top - $top),
        ]), $laid->left, $laid->top);
    }
}
