<?php

declare(strict_types=1);

namespace TallCrow\Edit;

/** What is laid where a piece ends in a straight line. */
enum CoverWith: string
{
    /** Its own mirror picture, torn off where it ends. */
    case Patch = 'patch';

    /** A bar that it stands on. */
    case Base = 'base';
}
