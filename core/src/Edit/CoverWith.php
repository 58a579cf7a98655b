<?php

declare(strict_types=1);

namespace TallCrow\Edit;

/** What covers a straight cut edge. */
enum CoverWith: string
{
    /** Its own mirror image with a torn edge. */
    case Patch = 'patch';

    /** A bar below it. */
    case Base = 'base';
}
