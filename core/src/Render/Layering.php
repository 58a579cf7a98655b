<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Layer;
use TallCrow\Raster\Blending;
use TallCrow\Raster\BlendMode;
use TallCrow\Raster\Composition;
use TallCrow\Raster\Image;
use TallCrow\Raster\Laid;

/** Pieces on their way to becoming one picture: laid over one another in order, knockouts taken out of what lies below. */
final class Layering
{
    /** @var list<array{?string, Laid}> whose it is, and what */
    private array $waiting = [];

    public function __construct(private readonly Frame $frame) {}

    public function isEmpty(): bool
    {
        return $this->waiting === [];
    }

    public function add(Layer $layer, Piece $piece, BlendMode $blend): void
    {
        [$left, $top] = [$piece->frame->left - $this->frame->left, $piece->frame->top - $this->frame->top];
        if ($blend === BlendMode::Normal) {
            $this->waiting[] = [$layer->id, Laid::over($piece->image, $left, $top)];

            return;
        }
        $below = $this->picture();
        $here = $below->crop($left, $top, $piece->frame->width, $piece->frame->height);
        $this->waiting = [[null, Laid::over($below->insert(Blending::over($here, $piece->image, $blend), $left, $top), 0, 0)]];
    }

    /** A knockout takes from all that waits, or from the layers that it names alone. */
    public function takeOut(Layer $layer, Piece $gap): void
    {
        if ($layer->role->from === []) {
            $this->waiting[] = [null, Laid::takingOut($gap->image, $gap->frame->left - $this->frame->left, $gap->frame->top - $this->frame->top)];

            return;
        }
        foreach ($this->waiting as $i => [$id, $laid]) {
            if (in_array($id, $layer->role->from, true)) {
                $this->waiting[$i] = [$id, $this->without($laid, $gap)];
            }
        }
    }

    public function picture(): Image
    {
        return Composition::stacked($this->frame->width, $this->frame->height, array_column($this->waiting, 1));
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
