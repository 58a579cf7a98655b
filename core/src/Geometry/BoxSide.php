<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/** One side of a box. */
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

    /** Whether the side is horizontal. */
    public function isLevel(): bool
    {
        return $this === self::Top || $this === self::Bottom;
    }

    /**
     * The side after mirroring the box.
     *
     * @param  int  $x  -1 to mirror left to right, otherwise 1
     * @param  int  $y  -1 to mirror top to bottom, otherwise 1
     */
    public function mirrored(int $x, int $y): self
    {
        return ($this->isLevel() ? $y : $x) < 0 ? $this->opposite() : $this;
    }

    /**
     * The point at a distance along the side (clockwise) and a distance inwards, both in shares of the box.
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

    /** Length of this side for a box of that size. */
    public function length(float $width, float $height): float
    {
        return $this->isLevel() ? $width : $height;
    }

    /** Extent of a box of that size, measured inwards from this side. */
    public function depth(float $width, float $height): float
    {
        return $this->isLevel() ? $height : $width;
    }
}
