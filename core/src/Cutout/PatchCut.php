<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

/**
 * Segments superpixels by scribbles: a minimum cut over neighbouring patches (Y. Li, J. Sun, C.-K. Tang, H.-Y. Shum, "Lazy Snapping", 2004), whose costs
 * combine the likelihood of a patch's colour among the scribbled ones with its geodesic distance to the scribbles (B. L. Price, B. Morse, S. Cohen,
 * "Geodesic Graph Cut for Interactive Image Segmentation", 2010).
 */
final readonly class PatchCut
{
    /** Weight of the geodesic distance against colour; this and the following were found by trial with photos. */
    private const WAY = 0.45;

    /** Cost of a cut between patches of equal colour. */
    private const TOGETHER = 1.0;

    /** Colour step at which an edge counts half, in units of the median step. */
    private const EDGE = 3.0;

    /** Cost of each step of a path, in addition to edges. */
    private const STEP = 0.02;

    /** Least common border, in sides of a patch, of neighbours on a path. */
    private const TOUCHING = 0.25;

    /** Standard deviation, in Lab, of similar colours. */
    private const ALIKE = 7.0;

    /** Likelihood of a colour under neither kind of scribble. */
    private const UNSEEN = 0.01;

    /** Added to each distance, so that two very short ones count as equal. */
    private const NEAR = 0.05;

    /** Cost of separating a patch from a scribble on it, and distance to an unreachable scribble. */
    private const NEVER = 1e6;

    private const BEYOND = 1e3;

    /**
     * @param  float  $usual  median difference of neighbours in Lab
     * @param  list<array{int, int, float, float}>  $borders  two patches, length of their border in sides of a patch, and difference of their colours in Lab
     * @param  array<int, list<int>>  $beside  neighbours of each patch
     */
    private function __construct(private Superpixels $patches, private array $borders, private array $beside, private float $usual) {}

    /**
     * @param  array<int, true>  $kept  patch indexes
     * @param  array<int, true>  $gone
     * @return list<bool> whether each is kept
     */
    public static function of(Superpixels $patches, array $kept, array $gone): array
    {
        $side = sqrt(count($patches->of) / max(1, count($patches->colours)));
        $borders = $steps = $beside = [];
        foreach ($patches->borders() as $pair => $long) {
            [$one, $other] = array_map(intval(...), explode(' ', $pair));
            $steps[] = $step = sqrt(ColourBells::squared($patches->colours[$one], $patches->colours[$other]));
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
        [$front, $back] = [$this->bells($kept), $this->bells($gone)];
        $cut = new LeastCut(count($this->patches->colours));
        foreach ($this->patches->colours as $i => $lab) {
            if (isset($kept[$i]) || isset($gone[$i])) {
                $cut->node($i, isset($kept[$i]) ? self::NEVER : 0.0, isset($kept[$i]) ? 0.0 : self::NEVER);

                continue;
            }
            [$here, $there] = [$front->likely($lab) + self::UNSEEN, $back->likely($lab) + self::UNSEEN];
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
     * For each patch the geodesic distance to the nearest of some patches, in edges crossed.
     *
     * @param  array<int, true>  $to
     * @return list<float>
     */
    private function ways(array $to): array
    {
        $steps = [];
        foreach ($this->borders as [$one, $other, $long, $step]) {
            if ($long >= self::TOUCHING) {
                $steps[$one][$other] = $steps[$other][$one] = self::STEP + $step ** 2 / ($step ** 2 + (self::EDGE * $this->usual) ** 2);
            }
        }

        return ShortestWays::of($steps, count($this->patches->colours), array_keys($to), self::BEYOND);
    }

    /** @param  array<int, true>  $of  patch indexes */
    private function bells(array $of): ColourBells
    {
        return ColourBells::about(array_map(fn (int $patch): array => $this->patches->colours[$patch], array_keys($of)), self::ALIKE);
    }

    /**
     * Keeps only components that were scribbled on, or that are at most one patch away from such a component: others are similar by chance.
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
}
