<?php

declare(strict_types=1);

namespace TallCrow\Effect\Warp;

use TallCrow\Effect\PlacesLetters;
use TallCrow\Effect\Values;
use TallCrow\Geometry\Affine;
use TallCrow\Type\Letter;

/**
 * Letters on a circle, each rotated but not distorted. Bend 1 goes all the way round; with a negative bend they hang inside
 * the lower half. In inches, the bend is the sagitta of the baseline.
 */
final readonly class Circle implements PlacesLetters
{
    private function __construct(private Amount $amount) {}

    public static function kind(): string
    {
        return 'circle';
    }

    public static function parameters(): array
    {
        return Amount::parameters(-1, 1, 0.4);
    }

    public static function from(Values $values): static
    {
        return new self(Amount::from($values));
    }

    public function isMeasured(): bool
    {
        return $this->amount->isMeasured();
    }

    public function place(array $letters): array
    {
        $signed = $this->amount->of(1.0);
        if ($letters === [] || abs($signed) < 1e-6) {
            return $letters;
        }
        $box = Letter::together($letters)->bounds();
        $radius = $this->amount->isMeasured() ? Arc::radiusOfLength($box->width(), abs($signed)) : $box->width() / (2 * M_PI * abs($signed));
        $up = $signed <=> 0;
        $baseline = $letters[0]->baseline;
        [$x0, $y0] = [$box->centreX(), $baseline + $up * $radius];

        return array_map(function (Letter $letter) use ($radius, $up, $baseline, $x0, $y0): Letter {
            $out = max($radius * 0.02, $radius + $up * ($baseline - $letter->baseline));
            $angle = ($letter->x - $x0) / $radius;

            return $letter->transformed(
                Affine::shift(-$letter->x, -$letter->baseline)
                    ->then(Affine::turn(rad2deg($up * $angle)))
                    ->then(Affine::shift($x0 + $out * sin($angle), $y0 - $up * $out * cos($angle))),
            );
        }, $letters);
    }
}
