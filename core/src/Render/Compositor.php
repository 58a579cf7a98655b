<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Layer;
use TallCrow\Asset\Shelf;
use TallCrow\Raster\Blending;
use TallCrow\Raster\BlendMode;
use TallCrow\Raster\Image;
use TallCrow\Raster\Laid;
use TallCrow\Texture\Wear;

/** Lays layers over one another from the cloth up, with what knockouts and wear take away. */
final class Compositor
{
    private readonly LayerPainter $painter;

    private readonly WearPainter $wear;

    /** @param  ?callable(LayerTrouble): void  $onTrouble when given, a layer in trouble is left out and told of */
    public function __construct(
        Shelf $shelf,
        public readonly Placer $placer,
        Pictures $pictures,
        private readonly mixed $onTrouble = null,
        private readonly ?Progress $progress = null,
    ) {
        $this->wear = new WearPainter($pictures);
        $this->painter = new LayerPainter($shelf, $placer, $pictures, $this->wear, $this);
    }

    /**
     * @param  list<Layer>  $layers
     * @param  list<Wear>  $distress
     * @param  float  $x  corner of the wear's texture, inches
     */
    public function compose(array $layers, array $distress, Frame $frame, float $x = 0.0, float $y = 0.0): Image
    {
        $waiting = [];
        $painted = [];
        foreach ($layers as $i => $layer) {
            $this->progress?->layer($i, count($layers), $layer->called());
            $piece = $layer->on ? $this->piece($layer, $frame) : null;
            if ($piece === null) {
                continue;
            }
            [$left, $top] = [$piece->frame->left - $frame->left, $piece->frame->top - $frame->top];
            if ($layer->role->knockout) {
                $waiting[] = Laid::takingOut($piece->image, $left, $top);

                continue;
            }
            $painted[$layer->id] = $piece;
            if ($layer->blend === BlendMode::Normal) {
                $waiting[] = Laid::over($piece->image, $left, $top);
            } else {
                $below = Image::stacked($frame->width, $frame->height, $waiting);
                $here = $below->crop($left, $top, $piece->frame->width, $piece->frame->height);
                $waiting = [Laid::over($below->insert(Blending::over($here, $piece->image, $layer->blend), $left, $top), 0, 0)];
            }
        }
        $sheet = Image::stacked($frame->width, $frame->height, $waiting);
        foreach ($waiting === [] ? [] : $distress as $wear) {
            $sheet = $sheet->masked($this->takenBy($wear, $painted + $this->within($layers, $wear, $frame), $frame, $x, $y)->inverted());
        }

        return $sheet;
    }

    /**
     * The layer's own picture or, of a knockout, the shape that it takes in its alpha.
     *
     * @throws LayerTrouble unless troubles are told of instead
     */
    public function piece(Layer $layer, Frame $frame): ?Piece
    {
        try {
            return $layer->role->knockout ? $this->painter->knockout($layer, $frame) : $this->painter->paint($layer, $frame);
        } catch (LayerTrouble $trouble) {
            if ($this->onTrouble === null) {
                throw $trouble;
            }
            ($this->onTrouble)($trouble);

            return null;
        }
    }

    /**
     * The shielded layers that lie within groups.
     *
     * @param  list<Layer>  $layers
     * @return array<string, Piece>
     */
    public function within(array $layers, Wear $wear, Frame $frame): array
    {
        $found = [];
        foreach ($layers as $layer) {
            foreach ($layer->on ? $layer->children() : [] as $child) {
                $piece = $child->on && in_array($child->id, $wear->shielded, true) ? $this->piece($child, $frame) : null;
                $found += ($piece === null ? [] : [$child->id => $piece]) + $this->within([$child], $wear, $frame);
            }
        }

        return $found;
    }

    /**
     * What one line of wear takes: nothing where a shielded layer has ink. One band.
     *
     * @param  array<string, Piece>  $painted
     */
    public function takenBy(Wear $wear, array $painted, Frame $frame, float $x = 0.0, float $y = 0.0): Image
    {
        $taken = $this->wear->taken($wear, $frame, $x, $y);
        foreach ($wear->shielded as $id) {
            $piece = $painted[$id] ?? null;
            if ($piece === null) {
                continue;
            }
            $left = $piece->frame->left - $frame->left;
            $top = $piece->frame->top - $frame->top;
            $here = $taken->crop($left, $top, $piece->frame->width, $piece->frame->height);
            $taken = $taken->insert($here->times($piece->image->alpha()->inverted()), $left, $top);
        }

        return $taken;
    }
}
