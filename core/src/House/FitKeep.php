<?php

declare(strict_types=1);

namespace TallCrow\House;

/** Measures that stay as they were printed while the rest of a design is sized for another area. */
enum FitKeep: string
{
    /** Words stay as large as they are, about their own middle. */
    case Words = 'words';

    /** Gaps, and the cloth that a piece leaves free about itself. */
    case Gaps = 'gaps';

    /** Widths of rings and hollow letters. */
    case Rings = 'rings';
}
