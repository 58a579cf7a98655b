<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Type\Letter;

/** Moves and turns letters as whole pieces. */
interface PlacesLetters extends Effect
{
    /**
     * @param  list<Letter>  $letters  in inches
     * @return list<Letter>
     */
    public function place(array $letters): array;

    /** Whether it holds a length in inches, so that it is no longer the same at another size. */
    public function isMeasured(): bool;
}
