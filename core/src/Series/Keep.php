<?php

declare(strict_types=1);

namespace TallCrow\Series;

/** What of the pattern's words other words keep. */
enum Keep: string
{
    /** Their width; letters are as high as that lets them be. */
    case Width = 'width';

    /** The height of their letters; the width follows. */
    case Letters = 'letters';

    /** As large as fits into the pattern's own box. */
    case Box = 'box';
}
