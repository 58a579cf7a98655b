<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

use TallCrow\Raster\Image;

/**
 * Perspective correction: the projective map from a rectangle to the four corners of its crooked picture, computed from
 * the four pairs of points (Heckbert, "Fundamentals of Texture Mapping and Image Warping", 1989, §2.2.2).
 */
final readonly class Straighten
{
    private const STEP = 16;

    private function __construct(
        public int $width,
        public int $height,
        /** @var array{float, float, float, float, float, float, float, float} */
        private array $of,
    ) {}

    /**
     * @param  array{array{float, float}, array{float, float}, array{float, float}, array{float, float}}  $corners  pixels: top left, top right, bottom right, bottom left
     *
     * @throws CornersCross when the corners do not form a convex quadrilateral in order
     */
    public static function corners(array $corners): self
    {
        [[$x0, $y0], [$x1, $y1], [$x2, $y2], [$x3, $y3]] = $corners;
        foreach ($corners as $i => [$x, $y]) {
            [[$nextX, $nextY], [$thenX, $thenY]] = [$corners[($i + 1) % 4], $corners[($i + 2) % 4]];
            if (($nextX - $x) * ($thenY - $nextY) - ($nextY - $y) * ($thenX - $nextX) <= 0) {
                throw CornersCross::make();
            }
        }
        // Use the longer of each two opposite sides, so that no detail is lost.
        $width = (int) max(1, round(max(hypot($x1 - $x0, $y1 - $y0), hypot($x2 - $x3, $y2 - $y3))));
        $height = (int) max(1, round(max(hypot($x3 - $x0, $y3 - $y0), hypot($x2 - $x1, $y2 - $y1))));
        [$dx1, $dx2, $sx] = [$x1 - $x2, $x3 - $x2, $x0 - $x1 + $x2 - $x3];
        [$dy1, $dy2, $sy] = [$y1 - $y2, $y3 - $y2, $y0 - $y1 + $y2 - $y3];
        $area = $dx1 * $dy2 - $dx2 * $dy1;
        $g = ($sx * $dy2 - $dx2 * $sy) / $area;
        $h = ($dx1 * $sy - $sx * $dy1) / $area;

        return new self($width, $height, [$x1 - $x0 + $g * $x1, $x3 - $x0 + $h * $x3, $x0, $y1 - $y0 + $g * $y1, $y3 - $y0 + $h * $y3, $y0, $g, $h]);
    }

    /**
     * Maps a point of the straightened picture to the crooked one.
     *
     * @return array{float, float}
     */
    public function back(float $x, float $y): array
    {
        [$a, $b, $c, $d, $e, $f, $g, $h] = $this->of;
        [$u, $v] = [$x / $this->width, $y / $this->height];
        $w = $g * $u + $h * $v + 1;

        return [($a * $u + $b * $v + $c) / $w, ($d * $u + $e * $v + $f) / $w];
    }

    /** The straightened picture. */
    public function applied(Image $crooked): Image
    {
        $across = intdiv($this->width, self::STEP) + 2;
        $down = intdiv($this->height, self::STEP) + 2;
        $points = [];
        for ($j = 0; $j < $down; $j++) {
            for ($i = 0; $i < $across; $i++) {
                [$x, $y] = $this->back($i * self::STEP + 0.5, $j * self::STEP + 0.5);
                array_push($points, $x - 0.5, $y - 0.5);
            }
        }

        return $crooked->drawnFrom(Image::floats(pack('g*', ...$points), $across, $down, 2)->interpolated(self::STEP, $this->width, $this->height))->settled();
    }
}
