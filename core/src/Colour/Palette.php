<?php

declare(strict_types=1);

namespace TallCrow\Colour;

/**
 * Colour quantisation: k-means in CIE Lab (Lloyd 1982), initialised by farthest-point selection (Gonzalez 1985), so that the
 * same picture always gives the same palette.
 */
final class Palette
{
    private const ROUNDS = 12;

    /** Bits per channel of the histogram that is clustered. */
    private const BITS = 5;

    /** If a cluster's most common colour has at least this fraction of its pixels, it represents the cluster. */
    private const FLAT = 0.2;

    /** A neighbouring bin counts as the same colour if it has at least this fraction of the fullest bin's pixels. */
    private const AS_MANY = 0.5;

    /**
     * @param  string  $pixels  interleaved red, green and blue bytes
     * @return list<Swatch> the most common first; fewer than asked for if the picture has fewer colours
     */
    public static function of(string $pixels, int $count): array
    {
        $bins = self::bins($pixels);
        if ($bins === []) {
            return [];
        }
        $centres = self::apart($bins, $count);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $sums = array_fill(0, count($centres), [0.0, 0.0, 0.0, 0.0]);
            foreach ($bins as [$l, $a, $b, , , , $many]) {
                $to = self::nearest($l, $a, $b, $centres);
                $sum = $sums[$to];
                $sums[$to] = [$sum[0] + $l * $many, $sum[1] + $a * $many, $sum[2] + $b * $many, $sum[3] + $many];
            }
            $sums = array_values(array_filter($sums, fn (array $sum): bool => $sum[3] > 0));
            $moved = array_map(fn (array $sum): array => [$sum[0] / $sum[3], $sum[1] / $sum[3], $sum[2] / $sum[3]], $sums);
            if ($moved == $centres) {
                break;
            }
            $centres = $moved;
        }
        $held = [];
        foreach ($bins as $bin) {
            $held[self::nearest($bin[0], $bin[1], $bin[2], $centres)][] = $bin;
        }
        $groups = array_map(fn (array $group): array => [...self::flat($group), array_sum(array_column($group, 6))], array_values($held));
        usort($groups, fn (array $a, array $b): int => $b[3] <=> $a[3]);
        $all = array_sum(array_column($groups, 3));

        return array_map(fn (array $g): Swatch => new Swatch('', Srgb::of((int) round($g[0]), (int) round($g[1]), (int) round($g[2])), $g[3] / $all), $groups);
    }

    /**
     * The colour that represents a cluster: its most common colour if many pixels have it, as in flat art, whose soft edges are mixtures;
     * otherwise its mean, as in a photograph.
     *
     * @param  non-empty-list<array{float, float, float, float, float, float, float}>  $bins
     * @return array{float, float, float}
     */
    private static function flat(array $bins): array
    {
        $peak = $bins[0];
        foreach ($bins as $bin) {
            $peak = $bin[6] > $peak[6] ? $bin : $peak;
        }
        // A noisy colour is spread over several adjacent bins.
        $by = 1 << 8 - self::BITS;
        $about = array_values(array_filter($bins, fn (array $bin): bool => $bin[6] > $peak[6] * self::AS_MANY && abs($bin[3] - $peak[3]) < $by && abs($bin[4] - $peak[4]) < $by && abs($bin[5] - $peak[5]) < $by));
        $flat = array_sum(array_column($about, 6)) >= self::FLAT * array_sum(array_column($bins, 6)) ? $about : $bins;
        $sum = [0.0, 0.0, 0.0, 0.0];
        foreach ($flat as $bin) {
            $sum = [$sum[0] + $bin[3] * $bin[6], $sum[1] + $bin[4] * $bin[6], $sum[2] + $bin[5] * $bin[6], $sum[3] + $bin[6]];
        }

        return [$sum[0] / $sum[3], $sum[1] / $sum[3], $sum[2] / $sum[3]];
    }

    /** @return list<array{float, float, float, float, float, float, float}> L, a, b, mean red, green, blue, and number of pixels */
    private static function bins(string $pixels): array
    {
        $drop = 8 - self::BITS;
        $bins = [];
        for ($i = 0, $n = strlen($pixels) - 2; $i < $n; $i += 3) {
            $r = ord($pixels[$i]);
            $g = ord($pixels[$i + 1]);
            $b = ord($pixels[$i + 2]);
            $key = ($r >> $drop) << 2 * self::BITS | ($g >> $drop) << self::BITS | $b >> $drop;
            if (isset($bins[$key])) {
                $bins[$key][0] += $r;
                $bins[$key][1] += $g;
                $bins[$key][2] += $b;
                $bins[$key][3]++;
            } else {
                $bins[$key] = [$r, $g, $b, 1];
            }
        }
        ksort($bins);
        $out = [];
        foreach ($bins as [$r, $g, $b, $many]) {
            [$r, $g, $b] = [$r / $many, $g / $many, $b / $many];
            $lab = Srgb::of((int) round($r), (int) round($g), (int) round($b))->toLab();
            $out[] = [$lab->l, $lab->a, $lab->b, $r, $g, $b, (float) $many];
        }

        return $out;
    }

    /**
     * @param  non-empty-list<array{float, float, float, float, float, float, float}>  $bins
     * @return list<array{float, float, float}>
     */
    private static function apart(array $bins, int $count): array
    {
        $most = $bins[0];
        foreach ($bins as $bin) {
            $most = $bin[6] > $most[6] ? $bin : $most;
        }
        $centres = [[$most[0], $most[1], $most[2]]];
        $far = array_fill(0, count($bins), INF);
        while (count($centres) < $count) {
            $last = $centres[count($centres) - 1];
            [$next, $best] = [null, 0.0];
            foreach ($bins as $i => $bin) {
                $far[$i] = min($far[$i], self::squared($bin, $last));
                // Colours of a few stray pixels get less weight.
                $score = $far[$i] * min(1.0, $bin[6] / 8);
                if ($score > $best) {
                    [$next, $best] = [$bin, $score];
                }
            }
            if ($next === null) {
                break;
            }
            $centres[] = [$next[0], $next[1], $next[2]];
        }

        return $centres;
    }

    /**
     * Most of the running time is spent here, so this avoids creating arrays.
     *
     * @param  list<array{float, float, float}>  $centres
     */
    private static function nearest(float $l, float $a, float $b, array $centres): int
    {
        $to = 0;
        $best = INF;
        foreach ($centres as $i => $centre) {
            $dl = $l - $centre[0];
            $da = $a - $centre[1];
            $db = $b - $centre[2];
            $far = $dl * $dl + $da * $da + $db * $db;
            if ($far < $best) {
                $to = $i;
                $best = $far;
            }
        }

        return $to;
    }

    /**
     * @param  array{float, float, float, float, float, float, float}  $bin
     * @param  array{float, float, float}  $centre
     */
    private static function squared(array $bin, array $centre): float
    {
        return ($bin[0] - $centre[0]) ** 2 + ($bin[1] - $centre[1]) ** 2 + ($bin[2] - $centre[2]) ** 2;
    }
}
