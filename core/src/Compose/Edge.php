<?php

declare(strict_types=1);

namespace TallCrow\Compose;

use TallCrow\Geometry\Box;

/** The edge or centre line by which layers are aligned. */
enum Edge: string
{
    case Left = 'left';
    case Middle = 'middle';
    case Right = 'right';
    case Top = 'top';
    case Centre = 'centre';
    case Bottom = 'bottom';

    /** The baseline of the last line of words; for other layers the bottom edge. */
    case Baseline = 'baseline';

    public function isAcross(): bool
    {
        return in_array($this, [self::Left, self::Middle, self::Right], true);
    }

    public function of(Box $box): float
    {
        return match ($this) {
            self::Left => $box->left,
            self::Middle => $box->centreX(),
            self::Right => $box->right,
            self::Top => $box->top,
            self::Centre => $box->centreY(),
            self::Bottom, self::Baseline => $box->bottom,
        };
    }
}
