<?php

declare(strict_types=1);

namespace TallCrow\Listing;

/** What a garment lies on or hangs before; all are drawn by us. */
enum Ground: string
{
    case Plain = 'plain';
    case Paper = 'paper';
    case Wood = 'wood';
    case Pale = 'pale';
}
