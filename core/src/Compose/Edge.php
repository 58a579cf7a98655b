<?php

declare(strict_types=1);

namespace TallCrow\Compose;

use TallCrow\Geometry\Box;

/** What of two pieces is brought into line. */
enum Edge: string
{
    case Left = 'left';
    case Middle = 'middle';
    case Right = 'right';
    case Top = 'top';
    case Centre = 'centre';
    case Bottom = 'bottom';

    /** Of the last line of words; the foot of all else. */
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
