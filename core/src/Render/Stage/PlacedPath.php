<?php

declare(strict_types=1);

namespace TallCrow\Render\Stage;

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Path;

/** A piece's outline apart from its place, so that what is computed from it can be cached when the piece moves. */
final readonly class PlacedPath
{
    /**
     * @param  Path  $home  in inches, before the shift
     * @param  Affine  $shift  to its place on the sheet
     */
    public function __construct(
        public Path $home,
        public Affine $shift,
    ) {}

    public function isEmpty(): bool
    {
        return $this->home->isEmpty();
    }

    /** In inches on the sheet. */
    public function onSheet(): Path
    {
        return $this->home->transformed($this->shift);
    }
}
