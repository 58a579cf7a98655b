<?php

declare(strict_types=1);

namespace TallCrow\Gang;

/**
 * Packs rectangles by maximal free rectangles (J. Jylänki, "A Thousand Ways to Pack the Bin", 2010): the free space is stored as all
 * its maximal rectangles, and each piece is placed by a rule. Several orders and rules are tried, and the layout that uses the
 * least film is taken; ties are broken by the order of the list, so the same pieces always give the same layout.
 */
final class MaxRects
{
    public const MOST = 2000;

    /** Greatest number of sheets. */
    private const MOST_SHEETS = 400;

    private const NEGLIGIBLE = 1e-6;

    /** @var list<list<array{float, float, float, float}>> free rectangles of each sheet: left, top, width, height */
    private array $free = [];

    private function __construct(
        private readonly GangSheet $film,
        private readonly float $width,
        private readonly float $length,
    ) {}

    /**
     * @param  list<GangPiece>  $pieces
     *
     * @throws GangRefused
     */
    public static function layout(array $pieces, GangSheet $film): Layout
    {
        $copies = [];
        foreach ($pieces as $i => $piece) {
            count($copies) + $piece->count <= self::MOST || throw GangRefused::tooMany(self::MOST);
            array_push($copies, ...array_fill(0, $piece->count, [$i, $piece]));
        }
        $best = null;
        foreach (self::orders() as $order) {
            usort($copies, fn (array $a, array $b): int => $order($b[1]) <=> $order($a[1]) ?: $a[0] <=> $b[0]);
            foreach (self::rules() as $rule) {
                // Each piece in its better orientation, then all upright, then all lying.
                foreach ([null, true, false] as $upright) {
                    $layout = self::laid($copies, $film, $rule, $upright);
                    if ($best === null || $layout->area() < $best->area() - self::NEGLIGIBLE) {
                        $best = $layout;
                    }
                }
            }
        }

        return $best ?? new Layout($film, [], []);
    }

    /**
     * @param  list<array{int, GangPiece}>  $copies
     * @param  \Closure(array{float, float, float, float}, float, float): array{float, float}  $rule
     */
    private static function laid(array $copies, GangSheet $film, \Closure $rule, ?bool $upright): Layout
    {
        // Each piece is enlarged by the gap, and the film too, so that no gap is added at the far edges.
        $longest = array_sum(array_map(fn (array $copy): float => max($copy[1]->width, $copy[1]->height) + $film->gap, $copies)) + $film->gap;
        $pack = new self($film, $film->width - 2 * $film->margin + $film->gap, $film->length === null ? $longest : $film->length - 2 * $film->margin + $film->gap);
        $laid = array_map(fn (array $copy): Laid => $pack->put($copy[0], $copy[1], $rule, $upright), $copies);
        $lengths = array_fill(0, count($pack->free), 0.0);
        foreach ($laid as $one) {
            $lengths[$one->sheet] = max($lengths[$one->sheet], $one->top + $one->height + $film->margin);
        }

        return new Layout($film, $laid, array_values($film->length === null ? $lengths : array_fill(0, count($lengths), $film->length)));
    }

    /** @param  \Closure(array{float, float, float, float}, float, float): array{float, float}  $rule */
    private function put(int $number, GangPiece $piece, \Closure $rule, ?bool $upright): Laid
    {
        $ways = [[$piece->width, $piece->height, false], ...($piece->turns ? [[$piece->height, $piece->width, true]] : [])];
        // If the piece does not fit in the wanted orientation, both are allowed.
        $wanted = array_values(array_filter($ways, fn (array $way): bool => $upright === null || $upright === ($way[1] >= $way[0]) && $this->width + self::NEGLIGIBLE >= $way[0] + $this->film->gap && $this->length + self::NEGLIGIBLE >= $way[1] + $this->film->gap));
        $ways = $wanted === [] ? $ways : $wanted;
        for ($sheet = 0; $sheet < self::MOST_SHEETS; $sheet++) {
            $this->free[$sheet] ??= [[0.0, 0.0, $this->width, $this->length]];
            $best = null;
            $least = [INF, INF];
            foreach ($this->free[$sheet] as $room) {
                foreach ($ways as [$width, $height, $turned]) {
                    [$w, $h] = [$width + $this->film->gap, $height + $this->film->gap];
                    if ($w <= $room[2] + self::NEGLIGIBLE && $h <= $room[3] + self::NEGLIGIBLE && ($score = $rule($room, $w, $h)) < $least) {
                        [$best, $least] = [[$room[0], $room[1], $width, $height, $turned], $score];
                    }
                }
            }
            if ($best !== null) {
                $this->take($sheet, $best[0], $best[1], $best[2] + $this->film->gap, $best[3] + $this->film->gap);

                return new Laid($number, $sheet, $best[0] + $this->film->margin, $best[1] + $this->film->margin, $best[2], $best[3], $best[4]);
            }
            if ($this->free[$sheet] === [[0.0, 0.0, $this->width, $this->length]]) {
                throw GangRefused::tooLarge($piece->name, $piece->width, $piece->height);
            }
        }
        throw GangRefused::tooMany(self::MOST);
    }

    /** Removes a rectangle from the free space of a sheet. */
    private function take(int $sheet, float $left, float $top, float $width, float $height): void
    {
        $next = [];
        foreach ($this->free[$sheet] as $room) {
            [$x, $y, $w, $h] = $room;
            if ($left >= $x + $w - self::NEGLIGIBLE || $left + $width <= $x + self::NEGLIGIBLE || $top >= $y + $h - self::NEGLIGIBLE || $top + $height <= $y + self::NEGLIGIBLE) {
                $next[] = $room;

                continue;
            }
            foreach ([[$x, $y, $left - $x, $h], [$left + $width, $y, $x + $w - $left - $width, $h], [$x, $y, $w, $top - $y], [$x, $top + $height, $w, $y + $h - $top - $height]] as $part) {
                if ($part[2] > self::NEGLIGIBLE && $part[3] > self::NEGLIGIBLE) {
                    $next[] = $part;
                }
            }
        }
        $this->free[$sheet] = array_values(array_filter($next, fn (array $one, int $i): bool => ! self::isWithin($one, $i, $next), ARRAY_FILTER_USE_BOTH));
    }

    /**
     * Whether a rectangle lies within another of the list; of equal rectangles the first is kept.
     *
     * @param  array{float, float, float, float}  $one
     * @param  list<array{float, float, float, float}>  $all
     */
    private static function isWithin(array $one, int $i, array $all): bool
    {
        foreach ($all as $j => $other) {
            if ($i !== $j && ($one !== $other || $j < $i)
                && $one[0] >= $other[0] - self::NEGLIGIBLE && $one[1] >= $other[1] - self::NEGLIGIBLE
                && $one[0] + $one[2] <= $other[0] + $other[2] + self::NEGLIGIBLE && $one[1] + $one[3] <= $other[1] + $other[3] + self::NEGLIGIBLE) {
                return true;
            }
        }

        return false;
    }

    /** @return list<\Closure(GangPiece): float> sort keys; larger values first */
    private static function orders(): array
    {
        return [
            fn (GangPiece $piece): float => max($piece->width, $piece->height),
            fn (GangPiece $piece): float => $piece->width * $piece->height,
            fn (GangPiece $piece): float => $piece->height,
        ];
    }

    /** @return list<\Closure(array{float, float, float, float}, float, float): array{float, float}> scores, lower is better: bottom-left and best short side fit */
    private static function rules(): array
    {
        return [
            fn (array $room, float $width, float $height): array => [$room[1] + $height, $room[0]],
            fn (array $room, float $width, float $height): array => [min($room[2] - $width, $room[3] - $height), $room[1]],
        ];
    }
}
