<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Type\Letter;

/** Moves and rotates whole letters. */
interface PlacesLetters extends Effect
{
    /**
     * @param  list<Letter>  $letters  in inches
     * @param  float  $capital  cap height in inches
     * @return list<Letter>
     */
    public function place(array $letters, float $capital): array;

    /** Whether it has a length in inches, so that its result depends on the piece's size. */
    public function isMeasured(): bool;
}
