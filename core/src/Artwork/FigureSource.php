<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Type\Letter;

/** A source that draws its own outlines: one shape, or several frames. */
interface FigureSource extends Source
{
    /**
     * Its outlines in inches, centred on the origin.
     *
     * @param  ?float  $width  null follows the height
     * @param  ?float  $height  null follows the width
     * @return list<Letter>
     */
    public function figures(?float $width, ?float $height): array;
}
