<?php

declare(strict_types=1);

namespace TallCrow\Effect\Warp;

/** Whether a warp is told as a share of the piece or as a rise in inches. */
enum BentBy: string
{
    case Percent = 'percent';
    case Inches = 'inches';
}
