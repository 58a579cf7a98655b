<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Layer;
use TallCrow\Asset\Shelf;
use TallCrow\Raster\Blending;
use TallCrow\Raster\BlendMode;
use TallCrow\Raster\Image;
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
        $sheet = Image::empty($frame->width, $frame->height);
        $waiting = [];
        $painted = [];
        foreach ($layers as $i => $layer) {
            $this->progress?->layer($i, count($layers), $layer->called());
            $piece = $layer->on ? $this->piece($layer, $frame) : null;
            if ($piece === null) {
                continue;
            }
            if ($layer->role->knockout) {
                $sheet = self::takenOut(Image::stacked($sheet, $waiting), $piece, $frame);
                $waiting = [];
            } elseif ($layer->blend === BlendMode::Normal) {
                $waiting[] = self::at($piece, $frame);
            } else {
                $sheet = self::blended(Image::stacked($sheet, $waiting), $piece, $layer->blend, $frame);
                $waiting = [];
            }
            if (! $layer->role->knockout) {
                $painted[$layer->id] = $piece;
            }
        }
        $sheet = Image::stacked($sheet, $waiting);
        foreach ($distress as $wear) {
            $sheet = $sheet->masked($this->keptBy($wear, $painted, $frame, $x, $y));
        }

        return $sheet;
    }

    /**
     * The layer's own picture or, of a knockout, the shape that it takes.
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
     * What one line of wear leaves: all where a shielded layer has ink.
     *
     * @param  array<string, Piece>  $painted
     */
    public function keptBy(Wear $wear, array $painted, Frame $frame, float $x = 0.0, float $y = 0.0): Image
    {
        $kept = $this->wear->kept($wear, $frame, $x, $y);
        foreach ($wear->shielded as $id) {
            $piece = $painted[$id] ?? null;
            if ($piece === null) {
                continue;
            }
            $left = $piece->frame->left - $frame->left;
            $top = $piece->frame->top - $frame->top;
            $here = $kept->crop($left, $top, $piece->frame->width, $piece->frame->height);
            // 1 - (1 - kept)(1 - shield)
            $kept = $kept->insert($here->inverted()->times($piece->image->alpha()->inverted())->inverted(), $left, $top);
        }

        return $kept;
    }

    private static function takenOut(Image $sheet, Piece $hole, Frame $frame): Image
    {
        $left = $hole->frame->left - $frame->left;
        $top = $hole->frame->top - $frame->top;
        $here = $sheet->crop($left, $top, $hole->frame->width, $hole->frame->height);

        return $sheet->insert($here->masked($hole->image->inverted()), $left, $top);
    }

    private static function blended(Image $sheet, Piece $piece, BlendMode $mode, Frame $frame): Image
    {
        ['left' => $left, 'top' => $top] = self::at($piece, $frame);
        $here = $sheet->crop($left, $top, $piece->frame->width, $piece->frame->height);

        return $sheet->insert(Blending::over($here, $piece->image, $mode), $left, $top);
    }

    /** @return array{image: Image, left: int, top: int} */
    private static function at(Piece $piece, Frame $frame): array
    {
        return [
            'image' => $piece->image,
            'left' => $piece->frame->left - $frame->left,
            'top' => $piece->frame->top - $frame->top,
        ];
    }
}
