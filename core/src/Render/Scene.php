<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Layer;
use TallCrow\Raster\Image;
use TallCrow\Texture\Wear;

/** What the painting of one layer may ask of the sheet around it. */
interface Scene
{
    /**
     * Composes layers over one another.
     *
     * @param  list<Layer>  $layers
     * @param  list<Wear>  $distress  wear over all of them
     * @param  float  $x  left corner of the wear's texture, in inches
     */
    public function compose(array $layers, array $distress, Frame $frame, float $x = 0.0, float $y = 0.0): Image;

    /** A layer drawn alone, not cached; null when none of it shows in the window. */
    public function draw(Layer $layer, Frame $frame): ?Piece;

    /** The coverage of a layer of the artwork by its own shape: one band; 255 everywhere if there is no such layer. */
    public function inkOf(string $id, Frame $frame): Image;

    /** A layer of the artwork by its id. */
    public function named(string $id): ?Layer;

    public function progress(): Progress;
}
