<?php

declare(strict_types=1);

namespace TallCrow\Paper;

/**
 * Places strewn over a page that meets itself, so that no two marks lie on one another: darts are thrown, the large ones first, and each stays where
 * there is room for it (R. L. Cook, "Stochastic Sampling in Computer Graphics", 1986).
 *
 * @internal
 */
final class Scatter
{
    /**
     * @param  list<array{float, int}>  $sizes  radius of a mark in pixels and how many darts are thrown for it, for each size
     * @return list<array{float, float, float}> x, y and radius of what stays
     */
    public static function over(int $side, array $sizes, Chance $chance): array
    {
        $largest = max([1.0, ...array_column($sizes, 0)]);
        $cells = max(1, (int) floor($side / (2 * $largest)));
        $cell = $side / $cells;
        $grid = [];
        $places = [];
        foreach ($sizes as [$radius, $darts]) {
            for ($i = 0; $i < $darts; $i++) {
                [$x, $y] = [$chance->of(0, $side), $chance->of(0, $side)];
                [$column, $row] = [(int) ($x / $cell), (int) ($y / $cell)];
                foreach ([-1, 0, 1] as $dx) {
                    foreach ([-1, 0, 1] as $dy) {
                        foreach ($grid[($row + $dy + $cells) % $cells * $cells + ($column + $dx + $cells) % $cells] ?? [] as [$otherX, $otherY, $far]) {
                            [$across, $down] = [abs($x - $otherX), abs($y - $otherY)];
                            if (hypot(min($across, $side - $across), min($down, $side - $down)) < $radius + $far) {
                                continue 4;
                            }
                        }
                    }
                }
                $grid[$row * $cells + $column][] = [$x, $y, $radius];
                $places[] = [$x, $y, $radius];
            }
        }

        return $places;
    }
}
