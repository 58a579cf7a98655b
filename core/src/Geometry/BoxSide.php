<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/** One side of a box, as it stands. */
enum BoxSide: string
{
    case Top = 'top';
    case Right = 'right';
    case Bottom = 'bottom';
    case Left = 'left';

    public function opposite(): self
    {
        return match ($this) {
            self::Top => self::Bottom,
            self::Right => self::Left,
            self::Bottom => self::Top,
            self::Left => self::Right,
        };
    }

    /** Whether the side runs from left to right. */
    public function isLevel(): bool
    {
        return $this === self::Top || $this === self::Bottom;
    }

    /**
     * Which side it is once the box is mirrored.
     *
     * @param  int  $x  -1 from side to side, otherwise 1
     * @param  int  $y  -1 from top to bottom, otherwise 1
     */
    public function mirrored(int $x, int $y): self
    {
        return ($this->isLevel() ? $y : $x) < 0 ? $this->opposite() : $this;
    }

    /**
     * The point so far along a side, clockwise, and so far within it; both as shares of the box.
     *
     * @return array{float, float}
     */
    public function point(float $along, float $within): array
    {
        return match ($this) {
            self::Top => [$along, $within],
            self::Right => [1 - $within, $along],
            self::Bottom => [1 - $along, 1 - $within],
            self::Left => [$within, 1 - $along],
        };
    }

    /** The length of the side of a box of that size. */
    public function length(float $width, float $height): float
    {
        return $this->isLevel() ? $width : $height;
    }

    /** How far a box of that size reaches from the side inwards. */
    public function depth(float $width, float $height): float
    {
        return $this->isLevel() ? $height : $width;
    }
}
