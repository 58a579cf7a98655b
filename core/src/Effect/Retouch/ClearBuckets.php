<?php

declare(strict_types=1);

namespace TallCrow\Effect\Retouch;

use TallCrow\Colour\Srgb;
use TallCrow\Cutout\Background;
use TallCrow\Effect\ClearsInk;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;
use TallCrow\Raster\Image;

/** Reduces the picture to a few colours and removes those of the background. */
final readonly class ClearBuckets implements ClearsInk
{
    /** @param  list<Srgb>  $hidden */
    private function __construct(private int $count, private array $hidden) {}

    public static function kind(): string
    {
        return 'clear-buckets';
    }

    public static function parameters(): array
    {
        return [Parameter::number('count', 2, 24, 6), Parameter::colours('hidden', [], 0, 24), Parameter::area()];
    }

    public static function from(Values $values): static
    {
        return new self((int) $values->number('count'), $values->colours('hidden'));
    }

    public function isMeasured(): bool
    {
        return false;
    }

    public function retouch(Image $ink, float $perInch): Image
    {
        return Background::ofBuckets($ink, $this->count, $this->hidden);
    }
}
