<?php

declare(strict_types=1);

namespace TallCrow\Render\Stage;

use TallCrow\Artwork\Layer;
use TallCrow\Render\Frame;
use TallCrow\Render\Piece;
use TallCrow\Render\Scene;

/** Applies the layer's opacity, unless a look has turned it into dots already. */
final readonly class OpacityStage implements Stage
{
    public function __construct(private Stage $before) {}

    public function paint(Layer $layer, Frame $window, Scene $scene): ?Piece
    {
        $piece = $this->before->paint($layer, $window, $scene);

        return $piece === null || $layer->opacity >= 1 || $layer->endsFades() ? $piece : $piece->with($piece->image->withAlpha($piece->image->alpha()->linearByte($layer->opacity)));
    }
}
