<?php

declare(strict_types=1);

namespace TallCrow\Effect\Look;

use TallCrow\Colour\Srgb;
use TallCrow\Colour\Swatch;
use TallCrow\Cutout\Background;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Effect\Looks;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** The colours of the piece brought down to a few, grouped in Lab. */
final readonly class Posterised implements Looks
{
    private function __construct(private int $count) {}

    public static function kind(): string
    {
        return 'posterised';
    }

    public static function parameters(): array
    {
        return [Parameter::number('count', 2, 24, 5)];
    }

    public static function from(Values $values): static
    {
        return new self((int) $values->number('count'));
    }

    public function reach(): float
    {
        return 0.02;
    }

    public function look(Image $ink, float $ppi, array $at): Image
    {
        $buckets = Background::buckets($ink, $this->count);
        if ($buckets === []) {
            return $ink;
        }
        $colours = array_map(fn (Swatch $bucket): Srgb => $bucket->colour, $buckets);

        return Lookup::indexed(ColourKeys::of($ink)->nearest($colours), $colours)->withBand($ink->alpha());
    }
}
