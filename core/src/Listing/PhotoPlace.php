<?php

declare(strict_types=1);

namespace TallCrow\Listing;

/** The four corners of the print area in a photo of a garment, clockwise from the upper left, in pixels of the photo. */
final readonly class PhotoPlace
{
    /** Least cross product of two adjacent sides in square pixels, so that the quadrilateral is convex and not too small. */
    private const LEAST = 400.0;

    /**
     * @param  array{array{float, float}, array{float, float}, array{float, float}, array{float, float}}  $corners
     * @param  float  $folds  0 to 1: strength of displacement and shading
     */
    private function __construct(
        public array $corners,
        public float $folds,
    ) {}

    /**
     * @param  array{array{float, float}, array{float, float}, array{float, float}, array{float, float}}  $corners
     *
     * @throws PhotoRefused if the corners are no convex quadrilateral in clockwise order, or it is too small
     */
    public static function at(array $corners, float $folds): self
    {
        for ($i = 0; $i < 4; $i++) {
            [$a, $b, $c] = [$corners[$i], $corners[($i + 1) % 4], $corners[($i + 2) % 4]];
            if (($b[0] - $a[0]) * ($c[1] - $b[1]) - ($b[1] - $a[1]) * ($c[0] - $b[0]) < self::LEAST) {
                throw PhotoRefused::corners();
            }
        }

        return new self($corners, max(0.0, min(1.0, $folds)));
    }

    /**
     * The projective map from the photo to a picture of the given size: u = (m0 x + m1 y + m2) / (m6 x + m7 y + 1), v likewise. It is determined by
     * four points (Heckbert, Fundamentals of Texture Mapping and Image Warping, 1989, 2.2.3).
     *
     * @return array{float, float, float, float, float, float, float, float}
     */
    public function toPicture(float $width, float $height): array
    {
        $rows = [];
        foreach ([[0.0, 0.0], [$width, 0.0], [$width, $height], [0.0, $height]] as $i => [$u, $v]) {
            [$x, $y] = $this->corners[$i];
            $rows[] = [$x, $y, 1.0, 0.0, 0.0, 0.0, -$u * $x, -$u * $y, $u];
            $rows[] = [0.0, 0.0, 0.0, $x, $y, 1.0, -$v * $x, -$v * $y, $v];
        }

        return self::solved($rows);
    }

    /**
     * Solves eight linear equations by Gaussian elimination with partial pivoting.
     *
     * @param  list<list<float>>  $rows
     * @return array{float, float, float, float, float, float, float, float}
     */
    private static function solved(array $rows): array
    {
        for ($at = 0; $at < 8; $at++) {
            for ($best = $at, $i = $at + 1; $i < 8; $i++) {
                $best = abs($rows[$i][$at]) > abs($rows[$best][$at]) ? $i : $best;
            }
            [$rows[$at], $rows[$best]] = [$rows[$best], $rows[$at]];
            abs($rows[$at][$at]) > 1e-12 || throw PhotoRefused::corners();
            for ($i = 0; $i < 8; $i++) {
                if ($i !== $at) {
                    $share = $rows[$i][$at] / $rows[$at][$at];
                    $rows[$i] = array_map(fn (float $one, float $pivot): float => $one - $share * $pivot, $rows[$i], $rows[$at]);
                }
            }
        }
        $of = fn (int $i): float => $rows[$i][8] / $rows[$i][$i];

        return [$of(0), $of(1), $of(2), $of(3), $of(4), $of(5), $of(6), $of(7)];
    }
}
