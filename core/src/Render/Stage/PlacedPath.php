<?php

declare(strict_types=1);

namespace TallCrow\Render\Stage;

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Path;

/** A piece's outline apart from its place, so that what is computed from it stays cached when the piece is moved or turned. */
final readonly class PlacedPath
{
    /**
     * @param  Path  $home  in inches, upright
     * @param  Affine  $lie  its turn and its translation to the sheet
     */
    public function __construct(
        public Path $home,
        public Affine $lie,
    ) {}

    public function isEmpty(): bool
    {
        return $this->home->isEmpty();
    }

    /** In inches on the sheet. */
    public function onSheet(): Path
    {
        return $this->home->transformed($this->lie);
    }
}
