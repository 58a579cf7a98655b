<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Look\Dotted;
use TallCrow\Look\PrintGrid;
use TallCrow\Raster\Image;

/** A look that leaves solid ink, or none, at every print pixel: its dots need finer pixels than the tone that they are drawn from. */
interface DrawsDots extends Looks
{
    /**
     * @param  Image  $ink  of the piece, on pixels as fine as the dots' or coarser
     * @return list<Dotted> the lowest ink first
     */
    public function dots(Image $ink, PrintGrid $grid): array;
}
