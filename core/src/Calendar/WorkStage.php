<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/** What a shop spends its hours on. */
enum WorkStage: string
{
    /** Fonts and art are put on the shelf. */
    case Gather = 'gather';

    /** Lines of a sheet are saved. */
    case Draw = 'draw';

    /** Files and listing pictures are made. */
    case Send = 'send';
}
