<?php

declare(strict_types=1);

namespace TallCrow\House;

/** How a design made for one print area is refitted to another. */
enum FitMode: string
{
    /** As large as fits, everything scaled by one factor. */
    case Contain = 'contain';
    case Width = 'width';
    case Height = 'height';

    /** The ink's box is made as large as fits within the safe margin. */
    case Ink = 'ink';

    /** Not scaled, centred. */
    case Inches = 'inches';

    /** Not scaled, at the same distance below the collar. */
    case Place = 'place';

    /** Pieces keep their size; the distances between them grow with the area. */
    case Spread = 'spread';
}
