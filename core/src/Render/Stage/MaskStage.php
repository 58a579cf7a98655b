<?php

declare(strict_types=1);

namespace TallCrow\Render\Stage;

use TallCrow\Artwork\Layer;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\MaskPainter;
use TallCrow\Render\Piece;
use TallCrow\Render\Placer;
use TallCrow\Render\Scene;

/** Multiplies a layer's ink by its masks. */
final readonly class MaskStage implements Stage
{
    public function __construct(
        private Stage $before,
        private Placer $placer,
        private MaskPainter $masks,
    ) {}

    public function paint(Layer $layer, Frame $window, Scene $scene): ?Piece
    {
        $piece = $this->before->paint($layer, $window, $scene);
        $mask = $piece === null ? null : $this->mask($layer, $piece->frame, $scene);

        return $piece === null || $mask === null ? $piece : $piece->with($piece->image->masked($mask));
    }

    /** All masks of a layer combined in a window: one band; null if it has none. */
    public function mask(Layer $layer, Frame $frame, Scene $scene): ?Image
    {
        $masks = $layer->liveMasks();
        if ($masks === []) {
            return null;
        }
        $placing = $this->placer->place($layer);
        $box = $placing === null ? $this->placer->reach($layer) : $placing->own();

        return $box === null ? null : $this->masks->together($masks, $box, $placing?->toSheet, $frame, $scene);
    }
}
