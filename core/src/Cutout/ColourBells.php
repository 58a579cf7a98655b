<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

/** A kernel density estimate of colours in Lab (E. Parzen, "On Estimation of a Probability Density Function and Mode", 1962). */
final readonly class ColourBells
{
    /** Side, in Lab, of the cubes within which colours are replaced by their mean. */
    private const CUBE = 5.0;

    /**
     * @param  list<array{array{float, float, float}, float}>  $bells  kernel centres in Lab, with weights
     * @param  float  $wide  standard deviation of a kernel, in Lab
     */
    private function __construct(private array $bells, private float $wide) {}

    /** @param  list<array{float, float, float}>  $labs */
    public static function about(array $labs, float $wide): self
    {
        $sums = [];
        foreach ($labs as $lab) {
            $cube = implode(' ', array_map(fn (float $value): int => (int) floor($value / self::CUBE), $lab));
            $sum = $sums[$cube] ?? [0.0, 0.0, 0.0, 0];
            $sums[$cube] = [$sum[0] + $lab[0], $sum[1] + $lab[1], $sum[2] + $lab[2], $sum[3] + 1];
        }

        return new self(array_values(array_map(fn (array $sum): array => [[$sum[0] / $sum[3], $sum[1] / $sum[3], $sum[2] / $sum[3]], $sum[3] / count($labs)], $sums)), $wide);
    }

    /**
     * The density, scaled to 1 if all colours are this one; 0 far from any.
     *
     * @param  array{float, float, float}  $lab
     */
    public function likely(array $lab): float
    {
        $sum = 0.0;
        foreach ($this->bells as [$colour, $share]) {
            $sum += $share * exp(-self::squared($lab, $colour) / (2 * $this->wide ** 2));
        }

        return $sum;
    }

    /**
     * @param  array{float, float, float}  $one
     * @param  array{float, float, float}  $other
     */
    public static function squared(array $one, array $other): float
    {
        return ($one[0] - $other[0]) ** 2 + ($one[1] - $other[1]) ** 2 + ($one[2] - $other[2]) ** 2;
    }
}
