<?php

declare(strict_types=1);

namespace TallCrow\Render;

/**
 * How pixels of a bent picture are drawn: how many looks each is the mean of, and at the source shrunk by how much. Where a bend squeezes the source along one
 * of its sides, a pixel that is a mean of some already saves most looks.
 *
 * @internal
 */
final readonly class Supersampling
{
    /**
     * A pixel that spans so many of the source along a side is the mean of so many looks along it: a bend squeezes and slants pixels, and one look would
     * miss thin lines and leave steps along slanting edges.
     */
    private const LOOKS = [[7.2, 8], [3.6, 4], [1.8, 2]];

    /** As many at most where it spans much along both. */
    private const BOTH = 4;

    /** The source is shrunk by so much at most: a power of two. */
    public const MOST = 8;

    /** Looks, were the pixels not finer, from which on the source is shrunk: shrinking it takes as long as some. */
    private const MANY = 8;

    /**
     * @param  int  $across  looks along a pixel's row
     * @param  int  $shrunkAcross  pixels of the source in one that is looked at
     */
    private function __construct(public int $across, public int $down, public int $shrunkAcross, public int $shrunkDown) {}

    /**
     * @param  non-empty-list<array{float, float, float, float, float, float, float, float}>  $sides  of some cells, see BentPoints
     * @param  int  $finer  looks along a side of a pixel at least
     */
    public static function along(array $sides, int $finer): self
    {
        $wide = $high = INF;
        foreach ($sides as [$upperX, $upperY, $lowerX, $lowerY, $leftX, $leftY, $rightX, $rightY]) {
            [$aX, $aY, $bX, $bY] = [($upperX + $lowerX) / 2, ($upperY + $lowerY) / 2, ($leftX + $rightX) / 2, ($leftY + $rightY) / 2];
            // What a pixel spans of the row and of the column of the source through its middle: chords of a parallelogram. What is squeezed aslant spans little of both.
            $area = abs($aX * $bY - $aY * $bX);
            $wide = min($wide, $area / max(1e-9, abs($aY), abs($bY)));
            $high = min($high, $area / max(1e-9, abs($aX), abs($bX)));
        }
        $plain = self::of($sides, $finer, 1, 1);

        return $plain->count() < self::MANY * $finer ** 2 ? $plain : self::of($sides, $finer, self::shrunk($wide), self::shrunk($high));
    }

    /** @param  non-empty-list<array{float, float, float, float, float, float, float, float}>  $sides */
    private static function of(array $sides, int $finer, int $wide, int $high): self
    {
        $across = $down = 0.0;
        foreach ($sides as [$upperX, $upperY, $lowerX, $lowerY, $leftX, $leftY, $rightX, $rightY]) {
            $across = max($across, ($upperX / $wide) ** 2 + ($upperY / $high) ** 2, ($lowerX / $wide) ** 2 + ($lowerY / $high) ** 2);
            $down = max($down, ($leftX / $wide) ** 2 + ($leftY / $high) ** 2, ($rightX / $wide) ** 2 + ($rightY / $high) ** 2);
        }
        [$across, $down] = [self::many($across, $finer), self::many($down, $finer)];
        $both = min($across, $down) === $finer ? $across + $down : self::BOTH * $finer;

        return new self(min($both, $across), min($both, $down), $wide, $high);
    }

    /** By how much the source is shrunk where a pixel spans so many of its own: half as much, so that a look sees no further than the pixel. */
    private static function shrunk(float $span): int
    {
        return 2 ** (int) log(max(1.0, min(self::MOST, $span / 2)), 2);
    }

    /** Of all that a pixel is the mean of. */
    public function count(): int
    {
        return $this->across * $this->down;
    }

    private static function many(float $squared, int $finer): int
    {
        foreach (self::LOOKS as [$least, $looks]) {
            if ($squared > ($least * $finer) ** 2) {
                return $looks * $finer;
            }
        }

        return $finer;
    }
}
