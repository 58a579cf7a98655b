<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** A retouching line after which the picture's height over width may be another. */
interface ChangesAspect extends Retouches
{
    /**
     * How large a picture is after it, in pixels, known without any pixel: whoever measures a sheet does not draw it.
     *
     * @return array{int, int} width and height
     */
    public function sizeAfter(int $width, int $height): array;
}
