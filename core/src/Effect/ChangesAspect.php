<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** A retouching effect that may change the picture's aspect ratio. */
interface ChangesAspect extends Retouches
{
    /**
     * The picture's size after it, in pixels, computed without reading any pixel, since measuring a sheet must not render it.
     *
     * @return array{int, int} width and height
     */
    public function sizeAfter(int $width, int $height): array;
}
