<?php

declare(strict_types=1);

namespace TallCrow\Mask;

use Random\Engine\Mt19937;
use Random\Randomizer;
use TallCrow\Geometry\BoxSide;

/**
 * A ragged line as of a brush or torn paper: slow swings with small teeth on top. The result is a freehand mask that can be edited by hand. Depth and spacing
 * of the teeth are our choice.
 */
final class RaggedEdge
{
    /** Spacing, in inches, of the swings, and of the teeth. */
    private const SWING = 0.3;

    private const TOOTH = 0.055;

    /** Share of the depth that the teeth have. */
    private const TEETH = 0.4;

    /** How far (in shares of the box) the mask extends beyond sides that are not cut, so that rings stay visible. */
    private const BEYOND = 0.5;

    private const MOST_TEETH = 250;

    /**
     * @param  non-empty-list<BoxSide>  $sides  the sides that are torn
     * @param  float  $width  width of the piece, in inches
     * @param  float  $height  likewise
     * @param  float  $depth  difference between the deepest and the shallowest point, in inches
     * @param  float  $from  distance of the shallowest point from the side, in inches
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
                // Its ends meet the neighbouring sides.
                array_push($points, $side->point($start, $within($side)), $side->point($end, $within($side)));

                continue;
            }
            $length = $side->length($width, $height);
            $line = self::line($length * ($end - $start), $random);
            foreach ($line as [$along, $deep]) {
                $points[] = $side->point($start + $along * ($end - $start), ($from + $depth * $deep) / $side->depth($width, $height));
            }
        }

        return new FreehandMask(array_map(fn (array $point): array => [round($point[0], 4), round($point[1], 4)], $points), 0.0, new Usual(rings: MaskRings::Around));
    }

    /** @return non-empty-list<array{float, float}> position along the side and depth, both 0 to 1 */
    private static function line(float $length, Randomizer $random): array
    {
        $swings = array_map(fn (): float => self::share($random), range(0, max(2, (int) ceil($length / self::SWING)) + 1));
        $count = min(self::MOST_TEETH, max(6, (int) round($length / self::TOOTH)));
        $points = [];
        for ($i = 0; $i <= $count; $i++) {
            // Jitter the teeth, except for the first and the last.
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
