<?php

declare(strict_types=1);

namespace TallCrow\Effect\Retouch;

use TallCrow\Effect\ChangesAspect;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Raster\Image;

/** Crops the sides; each strip is given as a share of the picture. */
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
        [$left, $top, $width, $height] = $this->window($ink->width(), $ink->height());

        return $ink->crop($left, $top, $width, $height);
    }

    public function sizeAfter(int $width, int $height): array
    {
        [, , $across, $down] = $this->window($width, $height);

        return [$across, $down];
    }

    /** @return array{int, int, int, int} left, top, width, height: at least one pixel, and within the picture */
    private function window(int $width, int $height): array
    {
        $left = min((int) round($this->left * $width), $width - 1);
        $top = min((int) round($this->top * $height), $height - 1);

        return [
            $left, $top,
            min(max(1, (int) round((1 - $this->left - $this->right) * $width)), $width - $left),
            min(max(1, (int) round((1 - $this->top - $this->bottom) * $height)), $height - $top),
        ];
    }
}
