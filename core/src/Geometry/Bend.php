<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/** A smooth warp of the plane and its inverse: outlines are bent by the map, pictures are resampled by the inverse. */
final readonly class Bend
{
    private const GRID = 48;

    /**
     * @param  \Closure(float, float): array{float, float}  $forward
     * @param  \Closure(float, float): array{float, float}  $back  NAN for points that are no image of any point
     */
    public function __construct(
        public \Closure $forward,
        public \Closure $back,
    ) {}

    public static function none(): self
    {
        $same = fn (float $x, float $y): array => [$x, $y];

        return new self($same, $same);
    }

    public static function affine(Affine $by): self
    {
        $back = $by->inverse();

        return new self(fn (float $x, float $y): array => $by->apply($x, $y), fn (float $x, float $y): array => $back->apply($x, $y));
    }

    /** A warp that moves each column up or down by its own amount. */
    public static function columns(callable $down): self
    {
        return new self(
            fn (float $x, float $y): array => [$x, $y + $down($x)],
            fn (float $x, float $y): array => [$x, $y - $down($x)],
        );
    }

    public function then(self $next): self
    {
        return new self(
            fn (float $x, float $y): array => ($next->forward)(...($this->forward)($x, $y)),
            fn (float $x, float $y): array => ($this->back)(...($next->back)($x, $y)),
        );
    }

    /** The bounding box of a box's image, found by sampling a grid. */
    public function bounds(Box $box): Box
    {
        $left = $top = INF;
        $right = $bottom = -INF;
        for ($i = 0; $i <= self::GRID; $i++) {
            for ($j = 0; $j <= self::GRID; $j++) {
                [$x, $y] = ($this->forward)($box->left + $box->width() * $i / self::GRID, $box->top + $box->height() * $j / self::GRID);
                [$left, $right] = [min($left, $x), max($right, $x)];
                [$top, $bottom] = [min($top, $y), max($bottom, $y)];
            }
        }

        return new Box($left, $top, $right, $bottom);
    }
}
