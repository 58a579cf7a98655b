<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Look\PrintGrid;
use TallCrow\Look\WholeInk;
use TallCrow\Raster\Image;

/** Changes the ink of a piece as a whole, once it is filled and ringed; worked finely and averaged down for proofs. */
interface Looks extends Effect
{
    public const PRINT = 300.0;

    /** Enough for what has no part smaller than a fiftieth of an inch. */
    public const PROOF = 120.0;

    /**
     * @param  Image  $ink  of the piece
     * @param  PrintGrid  $grid  the pixels of the ink, so that screens and grain stay in place on the sheet
     */
    public function look(Image $ink, PrintGrid $grid, WholeInk $whole): Image;

    /** The least ppi at which it comes out as it does in print. */
    public function ppi(): float;

    /** Inches beyond the ink that it may reach or needs to know. */
    public function reach(): float;
}
