<?php

declare(strict_types=1);

namespace TallCrow\Edit;

/** A direction on the sheet. */
enum Way: string
{
    case Across = 'across';
    case Down = 'down';
}
