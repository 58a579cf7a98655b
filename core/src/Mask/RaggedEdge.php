<?php

declare(strict_types=1);

namespace TallCrow\Mask;

use Random\Engine\Mt19937;
use Random\Randomizer;
use TallCrow\Geometry\BoxSide;

/**
 * A cut whose line is torn, as a brush or torn paper leaves it: slow swings with small teeth on them. It is a freehand cut like any other, to be
 * drawn anew by hand. How deep and how close the teeth stand is our choice.
 */
final class RaggedEdge
{
    /** Inches between the swings of the line, and between its teeth. */
    private const SWING = 0.3;

    private const TOOTH = 0.055;

    /** What the teeth have of the whole depth. */
    private const TEETH = 0.4;

    /** Shares of the box that lie beyond a side which is not cut: rings stay. */
    private const BEYOND = 0.5;

    private const MOST_TEETH = 250;

    /**
     * @param  non-empty-list<BoxSide>  $sides  that are torn
     * @param  float  $width  of the piece in inches
     * @param  float  $height  likewise
     * @param  float  $depth  inches from the shallowest to the deepest of the line
     * @param  float  $from  inches within the side at which the line is shallowest
     */
    public static function along(array $sides, float $width, float $height, float $depth, float $from, int $seed): FreehandMask
    {
        $random = new Randomizer(new Mt19937($seed));
        $points = [];
        $within = fn (BoxSide $side): float => in_array($side, $sides, true) ? ($from + $depth / 2) / $side->depth($width, $height) : -self::BEYOND;
        foreach (BoxSide::cases() as $at => $side) {
            $before = BoxSide::cases()[($at + 3) % 4];
            $after = BoxSide::cases()[($at + 1) % 4];
            [$start, $end] = [$within($before), 1 - $within($after)];
            if (! in_array($side, $sides, true)) {
                // Its ends are those of the sides about it.
                array_push($points, $side->point($start, $within($side)), $side->point($end, $within($side)));

                continue;
            }
            $length = $side->length($width, $height);
            $line = self::line($length * ($end - $start), $random);
            foreach ($line as [$along, $deep]) {
                $points[] = $side->point($start + $along * ($end - $start), ($from + $depth * $deep) / $side->depth($width, $height));
            }
        }

        return new FreehandMask(array_map(fn (array $point): array => [round($point[0], 4), round($point[1], 4)], $points), 0.0);
    }

    /** @return non-empty-list<array{float, float}> how far along, and how deep: 0 to 1 both */
    private static function line(float $length, Randomizer $random): array
    {
        $swings = array_map(fn (): float => self::share($random), range(0, max(2, (int) ceil($length / self::SWING)) + 1));
        $count = min(self::MOST_TEETH, max(6, (int) round($length / self::TOOTH)));
        $points = [];
        for ($i = 0; $i <= $count; $i++) {
            // Teeth stand unevenly; the first and the last at the ends.
            $along = max(0.0, min(1.0, ($i + ($i % $count === 0 ? 0.0 : 0.84 * (self::share($random) - 0.5))) / $count));
            $at = $along * (count($swings) - 2);
            $ease = (1 - cos(M_PI * fmod($at, 1.0))) / 2;
            $swing = $swings[(int) $at] * (1 - $ease) + $swings[(int) $at + 1] * $ease;
            $points[] = [$along, $swing * (1 - self::TEETH) + self::TEETH * self::share($random)];
        }

        return $points;
    }

    private static function share(Randomizer $random): float
    {
        return $random->getInt(0, 65_535) / 65_535;
    }
}
