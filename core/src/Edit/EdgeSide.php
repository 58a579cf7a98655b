<?php

declare(strict_types=1);

namespace TallCrow\Edit;

/** On which side of a piece's edge words stand. */
enum EdgeSide: string
{
    case Inside = 'inside';
    case Outside = 'outside';
}
