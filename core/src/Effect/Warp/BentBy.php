<?php

declare(strict_types=1);

namespace TallCrow\Effect\Warp;

/** The unit of a warp's strength: a share of the piece, or a rise in inches. */
enum BentBy: string
{
    case Percent = 'percent';
    case Inches = 'inches';
}
