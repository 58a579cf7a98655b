<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Look\Dotted;
use TallCrow\Look\PrintGrid;
use TallCrow\Raster\Image;

/** A look that leaves only full or no ink at each print pixel. Its dots need a finer grid than the tones from which they are drawn. */
interface DrawsDots extends Looks
{
    /**
     * @param  Image  $ink  the piece's ink, on the dots' grid or a coarser one
     * @return list<Dotted> the inks from bottom to top
     */
    public function dots(Image $ink, PrintGrid $grid): array;

    /** Ppi at which the dots of a large piece are drawn in a proof so coarse that none is seen by itself. */
    public function glancedPpi(): float;
}
