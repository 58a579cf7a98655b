<?php

declare(strict_types=1);

namespace TallCrow\Render\Stage;

use TallCrow\Artwork\Layer;
use TallCrow\Render\Frame;
use TallCrow\Render\Piece;
use TallCrow\Render\Scene;

/** Multiplies a layer's ink by its masks, as far as they have not cut it before its rings were laid. */
final readonly class MaskStage implements Stage
{
    public function __construct(private Stage $before, private LayerMasks $masks) {}

    public function paint(Layer $layer, Frame $window, Scene $scene): ?Piece
    {
        $piece = $this->before->paint($layer, $window, $scene);
        $mask = $piece === null ? null : $this->masks->last($layer, $piece->frame, $scene);

        return $piece === null || $mask === null ? $piece : $piece->with($piece->image->masked($mask));
    }
}
