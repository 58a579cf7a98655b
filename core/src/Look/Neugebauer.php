<?php

declare(strict_types=1);

namespace TallCrow\Look;

use TallCrow\Colour\Lab;
use TallCrow\Colour\Srgb;

/**
 * The area coverages of some solid inks, and of the bare ground, that reproduce a colour. The light of small dots adds up by their areas: Neugebauer's model
 * (1937) with a Yule-Nielsen factor n of 1, since the scattering of the cloth is unknown. The coverages minimise the distance in CIE L*a*b*.
 */
final readonly class Neugebauer
{
    /** Step sizes of the search, from coarse to fine. */
    private const STEPS = [0.25, 0.125, 0.0625, 0.03125, 0.015625, 0.004, 0.001, 0.00025];

    /** @var list<array{float, float, float}> linear light of each ink, then of the bare ground if it counts */
    private array $light;

    /** @param  list<Srgb>  $inks */
    public function __construct(array $inks, ?Srgb $bare)
    {
        $this->light = array_map(fn (Srgb $colour): array => $colour->toLinear(), $bare === null ? $inks : [...$inks, $bare]);
    }

    /**
     * The coverage of each ink, in order; the rest is bare.
     *
     * @param  ?list<float>  $from  initial guess: the coverages of a similar colour
     * @return list<float> coverages, that of the bare ground last if it counts
     */
    public function shares(Lab $wanted, ?array $from = null): array
    {
        $count = count($this->light);
        $shares = $from ?? array_fill(0, $count, 1 / $count);
        [$r, $g, $b] = $this->mixed($shares);
        $best = self::apart($r, $g, $b, $wanted);
        foreach (self::STEPS as $step) {
            do {
                $better = false;
                for ($i = 0; $i < $count; $i++) {
                    for ($j = 0; $j < $count; $j++) {
                        $by = min($step, $shares[$i]);
                        if ($i === $j || $by <= 0) {
                            continue;
                        }
                        [$less, $more] = [$this->light[$i], $this->light[$j]];
                        $off = self::apart($r + $by * ($more[0] - $less[0]), $g + $by * ($more[1] - $less[1]), $b + $by * ($more[2] - $less[2]), $wanted);
                        if ($off < $best - 1e-9) {
                            $shares[$i] -= $by;
                            $shares[$j] += $by;
                            [$r, $g, $b] = $this->mixed($shares);
                            [$best, $better] = [$off, true];
                        }
                    }
                }
            } while ($better);
        }

        return array_values($shares);
    }

    /**
     * The screen strength of each ink that yields these visible coverages, if inks are printed over one another in order and their dots overlap at random
     * (Demichel, 1924). Example: the last ink covers all below it, so each earlier ink needs its share divided by what the later ones leave open.
     *
     * @param  list<float>  $shares  visible coverages of the inks
     * @return list<float>
     */
    public static function screened(array $shares): array
    {
        $free = 1.0;
        $screened = [];
        foreach (array_reverse($shares, true) as $i => $share) {
            $screened[$i] = $free < 1e-6 ? 0.0 : min(1.0, $share / $free);
            $free -= $share;
        }
        ksort($screened);

        return array_values($screened);
    }

    /**
     * The linear light of some coverages.
     *
     * @param  array<int, float>  $shares
     * @return array{float, float, float}
     */
    private function mixed(array $shares): array
    {
        $r = $g = $b = 0.0;
        foreach ($shares as $i => $share) {
            $r += $share * $this->light[$i][0];
            $g += $share * $this->light[$i][1];
            $b += $share * $this->light[$i][2];
        }

        return [$r, $g, $b];
    }

    /** Squared distance in Lab of a linear light. */
    private static function apart(float $r, float $g, float $b, Lab $wanted): float
    {
        $lab = Lab::ofLinear($r, $g, $b);

        return ($lab->l - $wanted->l) ** 2 + ($lab->a - $wanted->a) ** 2 + ($lab->b - $wanted->b) ** 2;
    }
}
