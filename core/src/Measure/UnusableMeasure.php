<?php

declare(strict_types=1);

namespace TallCrow\Measure;

final class UnusableMeasure extends \InvalidArgumentException
{
    public static function ppi(float $value): self
    {
        return new self(sprintf('%s ppi is outside %d to %d. Give the pixels per printed inch.', $value, (int) Ppi::MIN, (int) Ppi::MAX));
    }

    public static function area(int $width, int $height): self
    {
        return new self(sprintf('A print area of %d × %d px cannot be made. Each side must be 1 to %d px.', $width, $height, PrintArea::MAX_SIDE));
    }

    public static function size(string $what): self
    {
        return new self($what.' must be larger than nothing.');
    }
}
