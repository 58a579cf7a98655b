<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Raster\Image;

/** Dots that grow and shrink again from top to bottom, 20 to the inch along the diagonal. */
final class Halftone implements Paper
{
    public static function kind(): string
    {
        return 'halftone-ramp';
    }

    public static function tile(int $seed, Colours $colours, int $across): Image
    {
        $step = 20;
        $marks = '';
        for ($row = 0; $row < Paper::TILE / $step * 2; $row++) {
            $y = $row * $step / 2;
            $radius = $step * 0.72 * sqrt(0.5 - 0.5 * cos(2 * M_PI * $y / Paper::TILE));
            if ($radius > 0.5) {
                $marks .= sprintf('<line x1="%d" x2="%d" y1="%.1f" y2="%.1f" stroke-width="%.2f"/>', $row % 2 * $step / 2 - $step, Paper::TILE + $step, $y, $y, 2 * $radius);
                if ($y < $radius) {
                    $marks .= sprintf('<line x1="%d" x2="%d" y1="%.1f" y2="%.1f" stroke-width="%.2f"/>', $row % 2 * $step / 2 - $step, Paper::TILE + $step, $y + Paper::TILE, $y + Paper::TILE, 2 * $radius);
                }
            }
        }

        return Drawing::on($colours->hex(1), "<g stroke=\"{$colours->hex(0)}\" stroke-linecap=\"round\" stroke-dasharray=\"0 $step\">$marks</g>");
    }
}
