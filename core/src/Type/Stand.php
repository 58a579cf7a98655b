<?php

declare(strict_types=1);

namespace TallCrow\Type;

/** Where a letter that is larger than those about it keeps in line with them. */
enum Stand: string
{
    case Baseline = 'baseline';
    case Top = 'top';
    case Middle = 'middle';

    /**
     * How far down a letter goes that is sized about the baseline, in ems.
     *
     * @param  float  $top  of the letter as it was, above the baseline: negative
     */
    public function shift(float $top, float $by): float
    {
        return match ($this) {
            self::Baseline => 0.0,
            self::Top => $top * (1 - $by),
            self::Middle => $top * (1 - $by) / 2,
        };
    }
}
