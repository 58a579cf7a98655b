<?php

declare(strict_types=1);

namespace TallCrow\Effect\Retouch;

use TallCrow\Cutout\Straighten;
use TallCrow\Effect\ChangesAspect;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Raster\Image;

/** Perspective correction: maps the quadrilateral between four corners (in shares of the picture) to a rectangle. */
final readonly class StraightenCorners implements ChangesAspect
{
    /** @param  array{array{float, float}, array{float, float}, array{float, float}, array{float, float}}  $corners */
    private function __construct(private array $corners) {}

    public static function kind(): string
    {
        return 'straighten';
    }

    public static function parameters(): array
    {
        return array_map(
            fn (string $name, float $at): Parameter => Parameter::share($name, -0.5, 1.5, $at),
            ['x1', 'y1', 'x2', 'y2', 'x3', 'y3', 'x4', 'y4'], [0, 0, 1, 0, 1, 1, 0, 1],
        );
    }

    public static function from(Values $values): static
    {
        return new self([
            [$values->number('x1'), $values->number('y1')], [$values->number('x2'), $values->number('y2')],
            [$values->number('x3'), $values->number('y3')], [$values->number('x4'), $values->number('y4')],
        ]);
    }

    public function isMeasured(): bool
    {
        return false;
    }

    public function retouch(Image $ink, float $perInch): Image
    {
        return $this->straightening($ink->width(), $ink->height())->applied($ink);
    }

    public function sizeAfter(int $width, int $height): array
    {
        $straight = $this->straightening($width, $height);

        return [$straight->width, $straight->height];
    }

    private function straightening(int $width, int $height): Straighten
    {
        [$a, $b, $c, $d] = $this->corners;
        $at = fn (array $corner): array => [$corner[0] * $width, $corner[1] * $height];

        return Straighten::corners([$at($a), $at($b), $at($c), $at($d)]);
    }
}
