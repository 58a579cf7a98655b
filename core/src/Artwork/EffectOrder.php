<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Effect\BendsOutline;
use TallCrow\Effect\Effect;
use TallCrow\Effect\Ink\OnlyFill;
use TallCrow\Effect\InkOrder;
use TallCrow\Effect\Inks;
use TallCrow\Effect\Stage;

/** The order of a piece's effects. Best: warps first, then rings, overlays last (common practice). */
final class EffectOrder
{
    /**
     * Index of the last warp after ink; everything before it is bent together with its ink.
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
            $inked = $inked || ! in_array(self::of($line->is()), [null, InkOrder::Flat], true);
            if ($inked && is_a($line->is(), BendsOutline::class, true)) {
                $cut = $i;
            }
        }

        return $cut;
    }

    /**
     * Pairs of indexes of a ring and a warp after it, an order that does harm.
     *
     * @param  list<EffectLine>  $lines
     * @return list<array{int, int}>
     */
    public static function warpsAfterRings(array $lines): array
    {
        return self::pairs(
            $lines,
            fn (string $class): bool => self::of($class) === InkOrder::Ring,
            fn (string $class): bool => is_a($class, BendsOutline::class, true),
        );
    }

    /**
     * Pairs of indexes of an overlay and a ring after it.
     *
     * @param  list<EffectLine>  $lines
     * @return list<array{int, int}>
     */
    public static function overlaysBeforeRings(array $lines): array
    {
        return self::pairs(
            $lines,
            fn (string $class): bool => self::of($class) === InkOrder::Overlay,
            fn (string $class): bool => self::of($class) === InkOrder::Ring,
        );
    }

    /**
     * The effects in the best order; effects of one kind keep their order.
     *
     * @param  list<EffectLine>  $lines
     * @return list<EffectLine>
     */
    public static function mended(array $lines): array
    {
        $aims = array_keys(array_filter($lines, fn (EffectLine $line): bool => $line->is() === OnlyFill::class));
        $rank = fn (int $i): int => match (self::of($lines[$i]->is())) {
            null => 0,
            InkOrder::Overlay => 2,
            // A fill for a part stays after the effect that selects the part.
            InkOrder::Flat => $aims !== [] && $i >= $aims[0] ? 2 : 1,
            default => 1,
        };
        $places = array_keys($lines);
        usort($places, fn (int $a, int $b): int => [$rank($a), $a] <=> [$rank($b), $b]);

        return array_map(fn (int $i): EffectLine => $lines[$i], $places);
    }

    /**
     * The index at which to insert a new effect so that the order remains a good one.
     *
     * @param  list<EffectLine>  $lines
     * @param  class-string<Effect>  $class
     */
    public static function place(array $lines, string $class): int
    {
        foreach ($lines as $i => $line) {
            if (self::comesBefore($class, $line->is())) {
                return $i;
            }
        }

        return count($lines);
    }

    /**
     * Whether a new effect should come before an existing one.
     *
     * @param  class-string<Effect>  $new
     * @param  class-string<Effect>  $old
     */
    private static function comesBefore(string $new, string $old): bool
    {
        return match (Stage::of($new)) {
            Stage::Look => false,
            Stage::Ink => Stage::of($old) === Stage::Look
                || (self::of($new) === InkOrder::Ring && (self::of($old) === InkOrder::Overlay || $old === OnlyFill::class)),
            Stage::Retouch => Stage::of($old) !== Stage::Retouch,
            default => ! Stage::Ink->comesAfter(Stage::of($old)),
        };
    }

    /**
     * @param  class-string<Effect>  $class
     * @return ?InkOrder null for effects other than ink
     */
    private static function of(string $class): ?InkOrder
    {
        return is_a($class, Inks::class, true) ? $class::order() : null;
    }

    /**
     * @param  list<EffectLine>  $lines
     * @param  \Closure(class-string<Effect>): bool  $first
     * @param  \Closure(class-string<Effect>): bool  $after
     * @return list<array{int, int}>
     */
    private static function pairs(array $lines, \Closure $first, \Closure $after): array
    {
        $pairs = [];
        foreach ($lines as $i => $one) {
            for ($j = $i + 1; $one->on && $first($one->is()) && $j < count($lines); $j++) {
                if ($lines[$j]->on && $after($lines[$j]->is())) {
                    $pairs[] = [$i, $j];
                }
            }
        }

        return $pairs;
    }
}
