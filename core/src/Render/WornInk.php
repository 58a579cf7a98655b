<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;

/** The ink that a line of wear works on. */
final readonly class WornInk
{
    /** Ppi at which it is weighed how much ink lies under each level of a texture. */
    public const PPI = 30.0;

    /**
     * @param  string  $key  changes when the ink does
     * @param  \Closure(): ?Piece  $coarse  all of the ink at PPI, what is shielded left out
     * @param  Box  $extent  that strokes of a brush are shares of
     * @param  ?Image  $alpha  of the ink in the window that is drawn
     */
    public function __construct(
        public string $key,
        public \Closure $coarse,
        public Box $extent,
        public ?Image $alpha = null,
    ) {}
}
