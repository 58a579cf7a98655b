<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** Its lengths are widths along an outline, which a press holds or loses: they may stay as they are where a piece is sized. */
interface MeasuresEdge
{
    public static function edge(): Edge;
}
