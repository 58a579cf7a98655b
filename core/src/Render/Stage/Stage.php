<?php

declare(strict_types=1);

namespace TallCrow\Render\Stage;

use TallCrow\Artwork\Layer;
use TallCrow\Render\Frame;
use TallCrow\Render\Piece;
use TallCrow\Render\Scene;

/** One step of drawing a layer; it works on the result of the step before. */
interface Stage
{
    /**
     * @param  Layer  $layer  as it is drawn, with copies as a group (see Layer::drawn())
     * @return ?Piece null when none of it shows in the window
     */
    public function paint(Layer $layer, Frame $window, Scene $scene): ?Piece;
}
