<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** Its lengths are widths along an outline, limited by the press, so they may be kept when a piece is scaled. */
interface MeasuresEdge
{
    public static function edge(): Edge;
}
