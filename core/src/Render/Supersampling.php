<?php

declare(strict_types=1);

namespace TallCrow\Render;

/**
 * How pixels of a bent picture are sampled: the number of samples along each axis, and the factor by which the source is box-filtered first. Where a warp
 * compresses the source along one axis, filtering that axis first saves most samples.
 *
 * @internal
 */
final readonly class Supersampling
{
    /**
     * [source pixels spanned, samples]: a pixel that spans more than so many source pixels along an axis takes so many samples along it. A single sample would
     * miss thin lines and leave jagged edges.
     */
    private const LOOKS = [[7.2, 8], [3.6, 4], [1.8, 2]];

    /** Most samples along each axis if there are several along both. */
    private const BOTH = 4;

    /** Largest factor by which the source is shrunk first, a power of two. */
    public const MOST = 8;

    /** Samples per pixel (without oversampling) from which on shrinking the source first is quicker, since shrinking takes time, too. */
    private const MANY = 8;

    /**
     * @param  int  $across  samples along a pixel's row
     * @param  int  $shrunkAcross  source pixels averaged into one before sampling
     */
    private function __construct(public int $across, public int $down, public int $shrunkAcross, public int $shrunkDown) {}

    /**
     * @param  non-empty-list<array{float, float, float, float, float, float, float, float}>  $sides  the sides of some cells, see BentPoints::sides()
     * @param  int  $finer  least number of samples along each axis
     */
    public static function along(array $sides, int $finer): self
    {
        $wide = $high = INF;
        foreach ($sides as [$upperX, $upperY, $lowerX, $lowerY, $leftX, $leftY, $rightX, $rightY]) {
            [$aX, $aY, $bX, $bY] = [($upperX + $lowerX) / 2, ($upperY + $lowerY) / 2, ($leftX + $rightX) / 2, ($leftY + $rightY) / 2];
            // The source row and column through a pixel's centre cross its parallelogram in two chords: their lengths tell how far the source may be shrunk
            // each way.
            // A pixel compressed diagonally has two short chords.
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

    /** The shrink factor for a pixel that spans so many source pixels: at most half of them, so that a sample's filter does not reach beyond the pixel. */
    private static function shrunk(float $span): int
    {
        return 2 ** (int) log(max(1.0, min(self::MOST, $span / 2)), 2);
    }

    /** Samples in all. */
    public function count(): int
    {
        return $this->across * $this->down;
    }

    /** Whether the source is box-filtered before it is sampled. */
    public function isFiltered(): bool
    {
        return $this->shrunkAcross > 1 || $this->shrunkDown > 1;
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
