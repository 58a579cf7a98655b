<?php

declare(strict_types=1);

namespace TallCrow\Look;

enum Dots: string
{
    case Round = 'round';
    case Ellipse = 'ellipse';
    case Line = 'line';

    /** The spot function: places of a cell with a larger value are inked first; from the centre (0, 0) to the corner (½, ½). */
    public function height(float $u, float $v): float
    {
        return match ($this) {
            self::Round => cos(2 * M_PI * $u) + cos(2 * M_PI * $v),
            self::Ellipse => 1.3 * cos(2 * M_PI * $u) + 0.7 * cos(2 * M_PI * $v),
            self::Line => cos(2 * M_PI * $v),
        };
    }

    /** @return array{float, float} weights of the cosines across and down the cell */
    public function weights(): array
    {
        return match ($this) {
            self::Round => [1.0, 1.0],
            self::Ellipse => [1.3, 0.7],
            self::Line => [0.0, 1.0],
        };
    }
}
