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

    /** Deviation in Lab of colours that are alike. */
    private const ALIKE = 7.0;

    /** Likelihood of a colour that was scribbled on by neither. */
    private const UNSEEN = 0.01;

    /** Added to each way, so that two that are next to nothing are alike. */
    private const NEAR = 0.05;

    /** What it costs to part a patch from the scribble on it, and the way to a scribble that cannot be reached. */
    private const NEVER = 1e6;

    private const BEYOND = 1e3;

    /**
     * @param  float  $usual  how far neighbours are apart in Lab, in the middle
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
     * Of each patch the shortest way to one of several, in edges that it crosses.
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

    /** @param  array<int, true>  $of  patches by number */
    private function bells(array $of): ColourBells
    {
        return ColourBells::about(array_map(fn (int $patch): array => $this->patches->colours[$patch], array_keys($of)), self::ALIKE);
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
}
