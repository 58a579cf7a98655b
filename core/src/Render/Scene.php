<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Layer;
use TallCrow\Raster\Image;
use TallCrow\Texture\Wear;

/** What the drawing of one layer may ask of the sheet around it. */
interface Scene
{
    /**
     * Lays layers over one another.
     *
     * @param  list<Layer>  $layers
     * @param  list<Wear>  $distress  over all of them
     * @param  float  $x  corner of the wear's texture, inches
     */
    public function compose(array $layers, array $distress, Frame $frame, float $x = 0.0, float $y = 0.0): Image;

    /** A layer drawn alone, without being kept; null when none of it shows in the window. */
    public function draw(Layer $layer, Frame $frame): ?Piece;

    /** Where a layer of the artwork has ink, by its own shape: one band, all of it where there is no such layer. */
    public function inkOf(string $id, Frame $frame): Image;

    /** A layer of the artwork by its id. */
    public function named(string $id): ?Layer;

    public function progress(): Progress;
}
