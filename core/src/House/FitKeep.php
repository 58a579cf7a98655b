<?php

declare(strict_types=1);

namespace TallCrow\House;

/** Lengths that keep their printed size while the rest of a design is scaled to another area. */
enum FitKeep: string
{
    /** Words keep their size; their centres move with the design. */
    case Words = 'words';

    /** Gaps, including the margin of cloth that a knockout leaves free. */
    case Gaps = 'gaps';

    /** Widths of rings and hollow letters. */
    case Rings = 'rings';
}
