<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

/**
 * Which patches of a picture belong to what was scribbled on: a least cut over neighbouring patches (Y. Li, J. Sun, C.-K. Tang, H.-Y. Shum, "Lazy
 * Snapping", 2004), where a patch is the likelier kept the more its colour is among those that were scribbled on and the fewer edges lie between it and
 * the scribbles (B. L. Price, B. Morse, S. Cohen, "Geodesic Graph Cut for Interactive Image Segmentation", 2010).
 */
final readonly class PatchCut
{
    /** How much the way to the scribbles counts, beside colour; this and what follows by trial with photos. */
    private const WAY = 0.45;

    /** How much it costs to cut between patches that are alike. */
    private const TOGETHER = 1.0;

    /** Steps between neighbours that are an edge by half, in usual steps. */
    private const EDGE = 3.0;

    /** What each step costs, beside the edge in it. */
    private const STEP = 0.02;

    /** Border, in sides of a patch, from which two patches are neighbours on a way. */
    private const TOUCHING = 0.25;

    /** Lab within which colours are alike, and the side of a cube of colours that count as one. */
    private const ALIKE = 7.0;

    private const CUBE = 5.0;

    /** Likelihood of a colour that was scribbled on by neither. */
    private const UNSEEN = 0.01;

    private const NEAR = 0.05;

    private const NEVER = 1e6;

    private const BEYOND = 1e3;

    /**
     * @param  list<array{int, int, float, float}>  $borders  two patches, how long their border is in sides of a patch, and how far their colours are apart in Lab
     * @param  array<int, list<int>>  $beside  patches that touch each
     */
    private function __construct(private Superpixels $patches, private array $borders, private array $beside, private float $usual) {}

    /**
     * @param  array<int, true>  $kept  patches by number
     * @param  array<int, true>  $gone
     * @return list<bool> whether each is kept
     */
    public static function of(Superpixels $patches, array $kept, array $gone): array
    {
        $side = sqrt(count($patches->of) / max(1, count($patches->colours)));
        $borders = $steps = $beside = [];
        foreach ($patches->borders() as $pair => $long) {
            [$one, $other] = array_map(intval(...), explode(' ', $pair));
            $steps[] = $step = sqrt(self::squared($patches->colours[$one], $patches->colours[$other]));
            $borders[] = [$one, $other, $long / $side, $step];
            $beside[$one][] = $other;
            $beside[$other][] = $one;
        }
        sort($steps);
        $cut = new self($patches, $borders, $beside, max(1.0, $steps[intdiv(count($steps), 2)] ?? 1.0));

        return $cut->joined($cut->parted($kept, $gone), $kept);
    }

    /**
     * @param  array<int, true>  $kept
     * @param  array<int, true>  $gone
     * @return list<bool>
     */
    private function parted(array $kept, array $gone): array
    {
        [$toKept, $toGone] = [$this->ways($kept), $this->ways($gone)];
        [$front, $back] = [$this->cubes($kept), $this->cubes($gone)];
        $cut = new LeastCut(count($this->patches->colours));
        foreach ($this->patches->colours as $i => $lab) {
            if (isset($kept[$i]) || isset($gone[$i])) {
                $cut->node($i, isset($kept[$i]) ? self::NEVER : 0.0, isset($kept[$i]) ? 0.0 : self::NEVER);

                continue;
            }
            [$here, $there] = [self::likely($lab, $front) + self::UNSEEN, self::likely($lab, $back) + self::UNSEEN];
            [$near, $far] = [$toKept[$i] + self::NEAR, $toGone[$i] + self::NEAR];
            $share = self::WAY * $far / ($near + $far) + (1 - self::WAY) * $here / ($here + $there);
            $cut->node($i, $share, 1 - $share);
        }
        foreach ($this->borders as [$one, $other, $long, $step]) {
            $cut->edge($one, $other, self::TOGETHER * $long / (1 + ($step / $this->usual) ** 2));
        }

        return $cut->cut();
    }

    /**
     * Of each patch the shortest way to one of several, in edges that it crosses: E. W. Dijkstra, "A note on two problems in connexion with graphs", 1959.
     *
     * @param  array<int, true>  $to
     * @return array<int, float>
     */
    private function ways(array $to): array
    {
        $steps = [];
        foreach ($this->borders as [$one, $other, $long, $step]) {
            if ($long >= self::TOUCHING) {
                $steps[$one][$other] = $steps[$other][$one] = self::STEP + $step ** 2 / ($step ** 2 + (self::EDGE * $this->usual) ** 2);
            }
        }
        $ways = array_fill(0, count($this->patches->colours), self::BEYOND);
        $queue = new \SplPriorityQueue;
        $queue->setExtractFlags(\SplPriorityQueue::EXTR_BOTH);
        foreach (array_keys($to) as $patch) {
            $ways[$patch] = 0.0;
            $queue->insert($patch, 0.0);
        }
        while (! $queue->isEmpty()) {
            /** @var array{data: int, priority: float} $next */
            $next = $queue->extract();
            if (-$next['priority'] > $ways[$next['data']]) {
                continue;
            }
            foreach ($steps[$next['data']] ?? [] as $other => $step) {
                if ($step - $next['priority'] < $ways[$other]) {
                    $ways[$other] = $step - $next['priority'];
                    $queue->insert($other, -$ways[$other]);
                }
            }
        }

        return $ways;
    }

    /**
     * The colours of several patches by cubes: the mean of each, and its share of all.
     *
     * @param  array<int, true>  $of
     * @return list<array{array{float, float, float}, float}>
     */
    private function cubes(array $of): array
    {
        $sums = [];
        foreach (array_keys($of) as $patch) {
            $lab = $this->patches->colours[$patch];
            $cube = implode(' ', array_map(fn (float $value): int => (int) floor($value / self::CUBE), $lab));
            $sum = $sums[$cube] ?? [0.0, 0.0, 0.0, 0];
            $sums[$cube] = [$sum[0] + $lab[0], $sum[1] + $lab[1], $sum[2] + $lab[2], $sum[3] + 1];
        }

        return array_values(array_map(fn (array $sum): array => [[$sum[0] / $sum[3], $sum[1] / $sum[3], $sum[2] / $sum[3]], $sum[3] / count($of)], $sums));
    }

    /**
     * How likely a colour is among others, 1 at most: a sum of bells (E. Parzen, "On Estimation of a Probability Density Function and Mode", 1962).
     *
     * @param  array{float, float, float}  $lab
     * @param  list<array{array{float, float, float}, float}>  $cubes
     */
    private static function likely(array $lab, array $cubes): float
    {
        $sum = 0.0;
        foreach ($cubes as [$colour, $share]) {
            $sum += $share * exp(-self::squared($lab, $colour) / (2 * self::ALIKE ** 2));
        }

        return $sum;
    }

    /**
     * Of what is kept, the parts that were scribbled on, and those that one patch at most parts from them: anything else is as like by chance.
     *
     * @param  list<bool>  $isKept
     * @param  array<int, true>  $scribbled
     * @return list<bool>
     */
    private function joined(array $isKept, array $scribbled): array
    {
        $joined = $scribbled;
        $next = array_keys($scribbled);
        while ($next !== []) {
            $patch = array_pop($next);
            foreach ($this->beside[$patch] ?? [] as $touching) {
                foreach ($isKept[$touching] ? [$touching] : $this->beside[$touching] as $other) {
                    if ($isKept[$other] && ! isset($joined[$other])) {
                        $joined[$other] = true;
                        $next[] = $other;
                    }
                }
            }
        }

        return array_map(fn (bool $kept, int $patch): bool => $kept && isset($joined[$patch]), $isKept, array_keys($isKept));
    }

    /**
     * @param  array{float, float, float}  $one
     * @param  array{float, float, float}  $other
     */
    private static function squared(array $one, array $other): float
    {
        return ($one[0] - $other[0]) ** 2 + ($one[1] - $other[1]) ** 2 + ($one[2] - $other[2]) ** 2;
    }
}
