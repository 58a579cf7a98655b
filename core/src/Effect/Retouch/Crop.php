<?php

declare(strict_types=1);

namespace TallCrow\Effect\Retouch;

use TallCrow\Effect\ChangesAspect;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Raster\Image;

/** Cuts strips off the sides, each a share of the picture. */
final readonly class Crop implements ChangesAspect
{
    private function __construct(private float $left, private float $top, private float $right, private float $bottom) {}

    public static function kind(): string
    {
        return 'crop';
    }

    public static function parameters(): array
    {
        return array_map(fn (string $side): Parameter => Parameter::share($side, 0, 0.95, 0), ['left', 'top', 'right', 'bottom']);
    }

    public static function from(Values $values): static
    {
        return new self($values->number('left'), $values->number('top'), $values->number('right'), $values->number('bottom'));
    }

    public function isMeasured(): bool
    {
        return false;
    }

    public function retouch(Image $ink, float $perInch): Image
    {
        $left = (int) round($this->left * $ink->width());
        $top = (int) round($this->top * $ink->height());
        $width = max(1, (int) round((1 - $this->left - $this->right) * $ink->width()));
        $height = max(1, (int) round((1 - $this->top - $this->bottom) * $ink->height()));

        return $ink->crop(min($left, $ink->width() - 1), min($top, $ink->height() - 1), min($width, $ink->width() - min($left, $ink->width() - 1)), min($height, $ink->height() - min($top, $ink->height() - 1)));
    }
}
