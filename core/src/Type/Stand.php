<?php

declare(strict_types=1);

namespace TallCrow\Type;

/** The vertical alignment of a letter that is larger than its neighbours. */
enum Stand: string
{
    case Baseline = 'baseline';
    case Top = 'top';
    case Middle = 'middle';

    /**
     * Shift downwards, in ems, of a letter that was scaled about the baseline.
     *
     * @param  float  $top  top of the unscaled letter; negative above the baseline
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
