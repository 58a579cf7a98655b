<?php

declare(strict_types=1);

namespace TallCrow\Paper;

/**
 * Scatters marks over a seamless tile without overlaps by dart throwing: random places, large marks first, are accepted if there is room
 * (R. L. Cook, "Stochastic Sampling in Computer Graphics", 1986).
 *
 * @internal
 */
final class Scatter
{
    /**
     * @param  list<array{float, int}>  $sizes  for each size: radius of a mark in pixels, and number of darts
     * @return list<array{float, float, float}> x, y and radius of the accepted marks
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
