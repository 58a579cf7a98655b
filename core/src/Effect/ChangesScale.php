<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** A retouching line that draws the picture anew, so that its own pixels say nothing any more about how fine it prints. */
interface ChangesScale extends Retouches
{
    /** How many times larger a picture of so many pixels is after it. */
    public function factor(int $width, int $height, float $perInch): int;
}
