<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Raster\ColourBands;
use TallCrow\Raster\Image;

/**
 * Divides a picture into some thousand patches of similar colour along its edges: SLIC (R. Achanta, A. Shaji, K. Smith, A. Lucchi, P. Fua, S. Süsstrunk,
 * "SLIC Superpixels Compared to State-of-the-Art Superpixel Methods", 2012), without the final connectivity step: a patch may consist of several parts.
 */
final readonly class Superpixels
{
    private const ROUNDS = 5;

    /** Weight of spatial proximity against colour similarity: the paper's m. */
    private const COMPACT = 12.0;

    /**
     * @param  array<int, int>  $of  patch index of each pixel, row by row
     * @param  list<array{float, float, float}>  $colours  mean Lab colour of each patch
     */
    private function __construct(
        public int $width,
        public int $height,
        public array $of,
        public array $colours,
    ) {}

    /** @param  Image  $colours  a small picture of three bands */
    public static function of(Image $colours, int $count): self
    {
        [$width, $height] = [$colours->width(), $colours->height()];
        $labs = self::labs($colours);
        [$ls, $as, $bs] = $labs;
        $step = max(2.0, sqrt($width * $height / max(1, $count)));
        [$across, $down] = [max(1, (int) round($width / $step)), max(1, (int) round($height / $step))];
        $centres = [];
        for ($j = 0; $j < $down; $j++) {
            for ($i = 0; $i < $across; $i++) {
                [$x, $y] = [(int) (($i + 0.5) * $width / $across), (int) (($j + 0.5) * $height / $down)];
                $at = $y * $width + $x;
                $centres[] = [$ls[$at], $as[$at], $bs[$at], (float) $x, (float) $y];
            }
        }
        $of = array_fill(0, $width * $height, 0);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $of = self::assigned($labs, $centres, $width, $height, $step, $of);
            $centres = self::means($labs, $of, $centres, $width, $height);
        }

        return new self($width, $height, $of, array_map(fn (array $centre): array => [$centre[0], $centre[1], $centre[2]], $centres));
    }

    /** @return array{list<float>, list<float>, list<float>} L, a and b of each pixel in three lists; a list of triples would take a third longer */
    private static function labs(Image $colours): array
    {
        $labs = ColourBands::labs($colours)->settled();
        /** @var \Closure(int): list<float> $band */
        $band = fn (int $of): array => array_values((array) unpack('g*', $labs->band($of)->toBytes()));

        return [$band(0), $band(1), $band(2)];
    }

    /**
     * @param  array{list<float>, list<float>, list<float>}  $labs
     * @param  list<array{float, float, float, float, float}>  $centres
     * @param  array<int, int>  $of
     * @return array<int, int>
     */
    private static function assigned(array $labs, array $centres, int $width, int $height, float $step, array $of): array
    {
        [$ls, $as, $bs] = $labs;
        $near = array_fill(0, $width * $height, INF);
        $weight = (self::COMPACT / $step) ** 2;
        foreach ($centres as $k => [$l, $a, $b, $cx, $cy]) {
            [$right, $bottom] = [min($width - 1, (int) ($cx + $step)), min($height - 1, (int) ($cy + $step))];
            for ($y = max(0, (int) ($cy - $step)); $y <= $bottom; $y++) {
                $dy = ($y - $cy) * ($y - $cy) * $weight;
                for ($x = max(0, (int) ($cx - $step)), $at = $y * $width + $x; $x <= $right; $x++, $at++) {
                    // Most candidates are ruled out by position alone.
                    $dx = $x - $cx;
                    $far = $dx * $dx * $weight + $dy;
                    if ($far >= $near[$at]) {
                        continue;
                    }
                    $dl = $ls[$at] - $l;
                    $da = $as[$at] - $a;
                    $db = $bs[$at] - $b;
                    $far += $dl * $dl + $da * $da + $db * $db;
                    if ($far < $near[$at]) {
                        $near[$at] = $far;
                        $of[$at] = $k;
                    }
                }
            }
        }

        return $of;
    }

    /**
     * @param  array{list<float>, list<float>, list<float>}  $labs
     * @param  array<int, int>  $of
     * @param  list<array{float, float, float, float, float}>  $centres
     * @return list<array{float, float, float, float, float}>
     */
    private static function means(array $labs, array $of, array $centres, int $width, int $height): array
    {
        [$ls, $as, $bs] = $labs;
        $l = $a = $b = $x = $y = $many = array_fill(0, count($centres), 0.0);
        for ($row = $at = 0; $row < $height; $row++) {
            for ($column = 0; $column < $width; $column++, $at++) {
                $k = $of[$at];
                $l[$k] += $ls[$at];
                $a[$k] += $as[$at];
                $b[$k] += $bs[$at];
                $x[$k] += $column;
                $y[$k] += $row;
                $many[$k]++;
            }
        }
        foreach ($centres as $k => $centre) {
            $centres[$k] = $many[$k] > 0 ? [$l[$k] / $many[$k], $a[$k] / $many[$k], $b[$k] / $many[$k], $x[$k] / $many[$k], $y[$k] / $many[$k]] : $centre;
        }

        return $centres;
    }

    /**
     * Lengths of common borders in pixels, by "one other" with the smaller index first.
     *
     * @return array<string, int>
     */
    public function borders(): array
    {
        $borders = [];
        for ($y = 0; $y < $this->height; $y++) {
            for ($x = 0, $at = $y * $this->width; $x < $this->width; $x++, $at++) {
                $one = $this->of[$at];
                foreach ([$x + 1 < $this->width ? $this->of[$at + 1] : $one, $y + 1 < $this->height ? $this->of[$at + $this->width] : $one] as $other) {
                    if ($other !== $one) {
                        $key = $one < $other ? "$one $other" : "$other $one";
                        $borders[$key] = ($borders[$key] ?? 0) + 1;
                    }
                }
            }
        }

        return $borders;
    }
}
