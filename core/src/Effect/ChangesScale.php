<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** A retouching effect that redraws the picture, so that the file's own pixels no longer determine the effective resolution. */
interface ChangesScale extends Retouches
{
    /** The factor by which a picture of that size is enlarged. */
    public function factor(int $width, int $height, float $perInch): int;
}
