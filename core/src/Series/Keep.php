<?php

declare(strict_types=1);

namespace TallCrow\Series;

/** Which measure of the pattern's words a row's words keep. */
enum Keep: string
{
    /** The width; the letter height follows. */
    case Width = 'width';

    /** The letter height; the width follows. */
    case Letters = 'letters';

    /** As large as fits into the box of the pattern's words. */
    case Box = 'box';
}
