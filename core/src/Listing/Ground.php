<?php

declare(strict_types=1);

namespace TallCrow\Listing;

/** The background of a listing picture; all are drawn by this program. */
enum Ground: string
{
    case Plain = 'plain';
    case Paper = 'paper';
    case Wood = 'wood';
    case Pale = 'pale';
}
