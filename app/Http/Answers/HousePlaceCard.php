<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Artwork\Garment;
use TallCrow\House\HousePlace;

/** A print place of a house, with the house's requirements. */
final readonly class HousePlaceCard extends Answer
{
    /** @param  list<Cloth>  $cloths */
    public function __construct(
        public string $key,
        public string $product,
        public string $place,
        public HouseArea $area,
        public float $least,
        public float $margin,
        public string $kind,
        public ?float $mostMegabytes,
        public ?float $finestLine,
        public ?float $smallestWords,
        public bool $underbase,
        public bool $mirrored,
        public array $cloths,
    ) {}

    public static function of(HousePlace $one): self
    {
        return new self(
            $one->key(), $one->product, $one->place, new HouseArea($one->area->width, $one->area->height, $one->area->ppi->value), $one->least, $one->margin, $one->kind->value, $one->mostMegabytes,
            $one->finestLine, $one->smallestWords, $one->underbase, $one->mirrored, array_map(fn (Garment $cloth): Cloth => new Cloth($cloth->name, $cloth->colour->toHex()), $one->cloths),
        );
    }
}
