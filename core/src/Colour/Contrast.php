<?php

declare(strict_types=1);

namespace TallCrow\Colour;

final class Contrast
{
    /** Contrast ratio of WCAG 2.2, success criterion 1.4.3: 1 to 21. */
    public static function ratio(Srgb $one, Srgb $other): float
    {
        [$dark, $light] = [$one->luminance(), $other->luminance()];
        if ($dark > $light) {
            [$dark, $light] = [$light, $dark];
        }

        return ($light + 0.05) / ($dark + 0.05);
    }
}
