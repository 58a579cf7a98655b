<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** What lies along an outline. */
enum Edge
{
    case Ring;
    case Gap;
}
