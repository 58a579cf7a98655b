<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Geometry\Path;
use TallCrow\Raster\Image;

/**
 * Outlines of a mask with smooth edges: the lines along which its coverage crosses half, interpolated between the centres of pixels (marching squares),
 * which places an edge to a twentieth of a pixel.
 */
final class Contours
{
    private const HALF = 127.5;

    private const RIM = 2;

    /** A pixel between these levels is partly covered. */
    private const NO_INK = 16.0;

    private const FULL_INK = 239.0;

    /** Edges are smooth with at least this many partly covered pixels to each place where a row crosses them; a smooth edge has one or more. */
    private const SMOOTH = 0.5;

    /** Most places where rows cross edges, such as those of dots, that are followed in a second or so. */
    private const MOST = 250_000;

    /** The difference of two rows, two pixels apart, along an edge of 45°; a little more, so that none falls between two ways. */
    private const DIAGONAL = 2 * 255 * 1.05;

    /** Specks and holes of no more than this many square pixels are left out. */
    private const SPECK = 2.0;

    /** @var list<array{'M', float, float}|array{'L', float, float}|array{'C', float, float, float, float, float, float}|array{'Z'}> */
    private array $segments = [];

    private readonly string $levels;

    private readonly int $width;

    private function __construct(Image $mask)
    {
        $this->levels = self::amid($mask)->toBytes();
        $this->width = $mask->width() + 2 * self::RIM;
    }

    /**
     * In pixels from the top left; holes run the other way round.
     *
     * @param  Image  $mask  one band
     * @return ?Path null where its edges are hard, which interpolation would follow as stairs, or more than can be followed
     */
    public static function of(Image $mask): ?Path
    {
        $ink = $mask->isMore(self::HALF)->settled();
        $amid = self::amid($ink)->settled();
        // Where there is ink and none to the left of it.
        $starts = $amid->both($amid->embed(1, 0, $amid->width(), $amid->height())->inverted())->settled();
        $crossings = 2 * $starts->area();
        $partial = $mask->isMore(self::NO_INK)->area() - $mask->isMore(self::FULL_INK)->area();
        if ($crossings > self::MOST || $partial < self::SMOOTH * $crossings) {
            return null;
        }
        $contours = new self($mask);
        $contours->follow($starts->toBytes());

        return new Path($contours->segments);
    }

    /** With clear pixels all around, so that ink at the edge is closed there. */
    private static function amid(Image $mask): Image
    {
        return $mask->embed(self::RIM, self::RIM, $mask->width() + 2 * self::RIM, $mask->height() + 2 * self::RIM);
    }

    /** @param  string  $starts  255 for each pixel with ink and none to the left of it: every outline passes at least one */
    private function follow(string $starts): void
    {
        for ($at = strpos($starts, "\xff"); $at !== false; $at = strpos($starts, "\xff", $at)) {
            $points = $this->around($at, $starts);
            if (count($points) > 2 && abs(self::area($points)) > self::SPECK) {
                array_push($this->segments, ...ContourFitting::of($points));
            }
        }
    }

    /**
     * Follows an edge with the ink on the left hand: from pair to pair of an inked pixel and its clear neighbour.
     *
     * @return list<array{float, float}> where the coverage is half between each pair
     */
    private function around(int $at, string &$starts): array
    {
        [$levels, $width] = [$this->levels, $this->width];
        // The step ahead, by the direction in which the clear pixel lies.
        $ahead = [-1 => $width, $width => 1, 1 => -$width, -$width => -1];
        [$inked, $side] = [$at, -1];
        $points = [];
        do {
            if ($side === -1) {
                $starts[$inked] = "\0";
            }
            $step = $ahead[$side];
            $share = $this->edge($inked, $side, $step);
            if ($share !== null) {
                $x = $inked % $width + 0.5 - self::RIM;
                $y = intdiv($inked, $width) + 0.5 - self::RIM;
                $points[] = match ($side) {
                    -1 => [$x - $share, $y],
                    1 => [$x + $share, $y],
                    $width => [$x, $y + $share],
                    default => [$x, $y - $share],
                };
            }
            $left = ord($levels[$inked + $step]);
            $right = ord($levels[$inked + $side + $step]);
            if ($left > self::HALF && $right <= self::HALF) {
                $inked += $step;
            } elseif ($right > self::HALF && ($left > self::HALF || ord($levels[$inked]) + $right + $left + ord($levels[$inked + $side]) > 4 * self::HALF)) {
                // Two corners that touch are joined where the middle between all four pixels has ink.
                $inked += $side + $step;
                $side = -$step;
            } else {
                $side = $step;
            }
        } while ($inked !== $at || $side !== -1);

        return $points;
    }

    /**
     * How far from the centre of an inked pixel, towards its clear neighbour, the edge lies. Along a row of four pixels across the edge, from full to clear,
     * the sum of what they cover is the mean place of the edge over the width of a pixel: exact where it is straight.
     *
     * @return ?float null where the edge runs along the row rather than across it, and the pixels above and below tell its place better
     */
    private function edge(int $inked, int $side, int $step): ?float
    {
        $levels = $this->levels;
        [$before, $level, $clear, $beyond] = [ord($levels[$inked - $side]), ord($levels[$inked]), ord($levels[$inked + $side]), ord($levels[$inked + 2 * $side])];
        if ($before < self::FULL_INK || $beyond > self::NO_INK) {
            // A stroke or a gap that is narrower than the row, or a soft edge that is wider: interpolate.
            return ($level - self::HALF) / ($level - $clear);
        }
        $slope = 0;
        foreach ([-1, 0, 1, 2] as $n) {
            $slope += ord($levels[$inked + $n * $side + $step]) - ord($levels[$inked + $n * $side - $step]);
        }

        return abs($slope) > self::DIAGONAL ? null : ($before + $level + $clear + $beyond) / 255 - 1.5;
    }

    /** @param  list<array{float, float}>  $points */
    private static function area(array $points): float
    {
        $twice = 0.0;
        [$fromX, $fromY] = $points[count($points) - 1];
        foreach ($points as [$x, $y]) {
            $twice += $fromX * $y - $x * $fromY;
            [$fromX, $fromY] = [$x, $y];
        }

        return $twice / 2;
    }
}
