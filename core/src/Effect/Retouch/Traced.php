<?php

declare(strict_types=1);

namespace TallCrow\Effect\Retouch;

use TallCrow\Cutout\Tracing;
use TallCrow\Effect\ChangesScale;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Raster\Image;

/** Traces a small or rough picture to flat shapes with smooth edges, crisp at any print size. */
final readonly class Traced implements ChangesScale
{
    /** Ppi at print size at which the traced shapes are rendered. */
    private const PPI = 600.0;

    private function __construct(private int $count) {}

    public static function kind(): string
    {
        return 'traced';
    }

    public static function parameters(): array
    {
        return [Parameter::number('count', 1, 16, 2)];
    }

    public static function from(Values $values): static
    {
        return new self((int) $values->number('count'));
    }

    public function isMeasured(): bool
    {
        return true;
    }

    public function factor(int $width, int $height, float $perInch): int
    {
        return Tracing::factor($width, $height, $perInch, self::PPI);
    }

    public function retouch(Image $ink, float $perInch): Image
    {
        return Tracing::painted($ink, $this->count, $this->factor($ink->width(), $ink->height(), $perInch));
    }
}
