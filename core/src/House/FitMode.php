<?php

declare(strict_types=1);

namespace TallCrow\House;

/** How a design made for one print area goes to another. */
enum FitMode: string
{
    /** As large as fits, every measure alike. */
    case Contain = 'contain';
    case Width = 'width';
    case Height = 'height';

    /** Its ink as large as fits within the safe margin. */
    case Ink = 'ink';

    /** Every measure as it is, in the middle. */
    case Inches = 'inches';

    /** Every measure as it is, as far below the collar as before. */
    case Place = 'place';

    /** Pieces keep their inches and move apart with the area. */
    case Spread = 'spread';
}
