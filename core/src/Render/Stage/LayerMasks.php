<?php

declare(strict_types=1);

namespace TallCrow\Render\Stage;

use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Effect\Ink\Embolden;
use TallCrow\Effect\Inks;
use TallCrow\Mask\Mask;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\MaskPainter;
use TallCrow\Render\Placer;
use TallCrow\Render\Scene;

/** The masks of a layer: those that its rings go around cut its body before the rings are laid, the others cut all of it. */
final readonly class LayerMasks
{
    public function __construct(private Placer $placer, private MaskPainter $painter) {}

    /** All masks of a layer combined in a window: one band; null if it has none. */
    public function all(Layer $layer, Frame $frame, Scene $scene): ?Image
    {
        return $this->drawn($layer, $layer->liveMasks(), $frame, $scene);
    }

    /** Those that its rings go around. */
    public function first(Layer $layer, Frame $frame, Scene $scene): ?Image
    {
        return $this->drawn($this->bare($layer), $this->areFirst($layer), $frame, $scene);
    }

    /** Those that cut the rings, too. */
    public function last(Layer $layer, Frame $frame, Scene $scene): ?Image
    {
        $first = $this->areFirst($layer);

        return $this->drawn($layer, array_values(array_filter($layer->liveMasks(), fn (Mask $mask): bool => ! in_array($mask, $first, true))), $frame, $scene);
    }

    /** Whether rings go around what a mask leaves. */
    public function hasRingsAround(Layer $layer): bool
    {
        return $this->areFirst($layer) !== [];
    }

    /** The layer without its inks, cut by the masks that its rings go around: what they go around is its outline. */
    public function cut(Layer $layer): Layer
    {
        return $this->bare($layer)->withMasks($this->areFirst($layer));
    }

    /** Letters and shapes are emboldened before they are cut. */
    private function bare(Layer $layer): Layer
    {
        $isOutlined = ($this->placer->place($layer)->upright ?? []) !== [];

        return $layer->withEffects(array_values(array_filter(
            $layer->effects, fn (EffectLine $line): bool => ! is_a($line->is(), Inks::class, true) || $isOutlined && is_a($line->is(), Embolden::class, true),
        )));
    }

    /** @return list<Mask> */
    private function areFirst(Layer $layer): array
    {
        $around = array_values(array_filter($layer->liveMasks(), fn (Mask $mask): bool => $mask->hasRingsAround()));

        return $around !== [] && $this->placer->inking($layer)->hasEdges() ? $around : [];
    }

    /** @param  list<Mask>  $masks */
    private function drawn(Layer $layer, array $masks, Frame $frame, Scene $scene): ?Image
    {
        if ($masks === []) {
            return null;
        }
        $placing = $this->placer->place($layer);
        $box = $placing === null ? $this->placer->reach($layer) : $placing->own();

        return $box === null ? null : $this->painter->together($masks, $box, $placing?->toSheet, $frame, $scene);
    }
}
