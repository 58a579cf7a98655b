<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Effect\BendsOutline;
use TallCrow\Effect\Ink\ColourEachLetter;
use TallCrow\Effect\Ink\Fill;
use TallCrow\Effect\Ink\FillWithPaper;
use TallCrow\Effect\Ink\FillWithPicture;
use TallCrow\Effect\Ink\Gap;
use TallCrow\Effect\Ink\Gradient;
use TallCrow\Effect\Ink\Hatch;
use TallCrow\Effect\Ink\OnlyFill;
use TallCrow\Effect\Ink\Outline;
use TallCrow\Effect\Inks;

/** The order of a piece's lines: warp first, rings after, fills over the whole last reads best (common practice). */
final class EffectOrder
{
    private const RINGS = [Outline::class, Gap::class];

    private const OVERLAYS = [Gradient::class, FillWithPaper::class, FillWithPicture::class, Hatch::class];

    /** Bending changes nothing about these. */
    private const FLAT = [Fill::class, ColourEachLetter::class, OnlyFill::class];

    /**
     * Where the last warp stands that comes after ink; what stands before it is bent with its ink.
     *
     * @param  list<EffectLine>  $lines
     */
    public static function firstBentInk(array $lines): ?int
    {
        $inked = false;
        $cut = null;
        foreach ($lines as $i => $line) {
            if (! $line->on) {
                continue;
            }
            $inked = $inked || (is_a($line->is(), Inks::class, true) && ! in_array($line->is(), self::FLAT, true));
            if ($inked && is_a($line->is(), BendsOutline::class, true)) {
                $cut = $i;
            }
        }

        return $cut;
    }

    /**
     * Pairs of lines in an order that harms: the place of a ring and of a warp that comes after it.
     *
     * @param  list<EffectLine>  $lines
     * @return list<array{int, int}>
     */
    public static function warpsAfterRings(array $lines): array
    {
        return self::pairs($lines, self::RINGS, [BendsOutline::class]);
    }

    /**
     * The place of a fill laid over a piece and of a ring that comes after it.
     *
     * @param  list<EffectLine>  $lines
     * @return list<array{int, int}>
     */
    public static function overlaysBeforeRings(array $lines): array
    {
        return self::pairs($lines, self::OVERLAYS, self::RINGS);
    }

    /**
     * The lines in the order that reads best, kinds kept in the order that they had.
     *
     * @param  list<EffectLine>  $lines
     * @return list<EffectLine>
     */
    public static function mended(array $lines): array
    {
        $aims = array_keys(array_filter($lines, fn (EffectLine $line): bool => $line->is() === OnlyFill::class));
        $rank = fn (int $i): int => match (true) {
            ! is_a($lines[$i]->is(), Inks::class, true) => 0,
            // A fill for one part stays behind the line that says which.
            in_array($lines[$i]->is(), self::OVERLAYS, true), $aims !== [] && $i >= $aims[0] && in_array($lines[$i]->is(), self::FLAT, true) => 2,
            default => 1,
        };
        $places = array_keys($lines);
        usort($places, fn (int $a, int $b): int => [$rank($a), $a] <=> [$rank($b), $b]);

        return array_map(fn (int $i): EffectLine => $lines[$i], $places);
    }

    /**
     * @param  list<EffectLine>  $lines
     * @param  list<class-string>  $first
     * @param  list<class-string>  $after
     * @return list<array{int, int}>
     */
    private static function pairs(array $lines, array $first, array $after): array
    {
        $is = function (EffectLine $line, array $classes): bool {
            foreach ($classes as $class) {
                if ($line->on && is_a($line->is(), $class, true)) {
                    return true;
                }
            }

            return false;
        };
        $pairs = [];
        foreach ($lines as $i => $one) {
            for ($j = $i + 1; $is($one, $first) && $j < count($lines); $j++) {
                if ($is($lines[$j], $after)) {
                    $pairs[] = [$i, $j];
                }
            }
        }

        return $pairs;
    }
}
