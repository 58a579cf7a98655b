<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Type\Letter;

/** Words stand about a point of their own, which is what the placement of the piece tells, instead of the middle of their ink. */
interface HasCentre extends CurvesLine
{
    /**
     * @param  non-empty-list<Letter>  $letters  in inches, before they are placed
     * @param  float  $capital  cap height in inches
     * @return array{float, float}
     */
    public function centre(array $letters, float $capital): array;
}
