<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Look\PrintGrid;
use TallCrow\Look\WholeInk;
use TallCrow\Raster\Image;

/** Changes the pixels of a piece after filling and ringing. For proofs it is computed at a finer resolution and averaged down. */
interface Looks extends Effect
{
    public const PRINT = 300.0;

    /** Ppi that is sufficient for details of at least a fiftieth of an inch. */
    public const PROOF = 120.0;

    /**
     * @param  Image  $ink  the piece's ink
     * @param  PrintGrid  $grid  the ink's pixel grid, so that screens and grain are fixed to the sheet
     */
    public function look(Image $ink, PrintGrid $grid, WholeInk $whole): Image;

    /** The lowest ppi at which the result looks as in print. */
    public function ppi(): float;

    /** Inches beyond a pixel that it may change or depend on. */
    public function reach(): float;
}
