<?php

declare(strict_types=1);

namespace TallCrow\Effect\Warp;

use TallCrow\Geometry\Affine;
use TallCrow\Type\Letter;

/** Stands straight words on a circle, each letter rotated but not distorted. The middle of the words stands at its top, or at its foot. */
final class LettersOnCircle
{
    /** Least radius of a line, as a share of the first line's: further lines lie further in or out. */
    private const LEAST = 0.02;

    /**
     * @param  non-empty-list<Letter>  $letters
     * @param  float  $radius  of the baseline of the first line
     * @param  int  $up  1 with their feet towards the centre, at the top; -1 with their heads towards it, at the foot
     * @return list<Letter>
     */
    public static function place(array $letters, float $radius, int $up): array
    {
        $baseline = $letters[0]->baseline;
        [$x0, $y0] = self::centre($letters, $radius, $up);

        return array_map(function (Letter $letter) use ($radius, $up, $baseline, $x0, $y0): Letter {
            $out = max($radius * self::LEAST, $radius + $up * ($baseline - $letter->baseline));
            $angle = ($letter->x - $x0) / $radius;

            return $letter->transformed(
                Affine::shift(-$letter->x, -$letter->baseline)
                    ->then(Affine::turn(rad2deg($up * $angle)))
                    ->then(Affine::shift($x0 + $out * sin($angle), $y0 - $up * $out * cos($angle))),
            );
        }, $letters);
    }

    /**
     * @param  non-empty-list<Letter>  $letters  before they are placed
     * @return array{float, float}
     */
    public static function centre(array $letters, float $radius, int $up): array
    {
        return [Letter::together($letters)->bounds()->centreX(), $letters[0]->baseline + $up * $radius];
    }
}
