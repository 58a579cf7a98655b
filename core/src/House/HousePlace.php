<?php

declare(strict_types=1);

namespace TallCrow\House;

use TallCrow\Artwork\Garment;
use TallCrow\Export\FileKind;
use TallCrow\Measure\PrintArea;

/** A print place on a product of a house, with the house's requirements for its file. Lengths are in inches. */
final readonly class HousePlace
{
    /**
     * @param  string  $product  the house's own name for it, such as "Heavy tee"
     * @param  string  $place  such as "front" or "left sleeve"
     * @param  float  $least  the least ppi accepted at the printed width; the area's own ppi is preferred
     * @param  float  $margin  margin to keep free along each edge
     * @param  ?float  $mostMegabytes  of 1,000,000 bytes; null for no limit
     * @param  ?float  $finestLine  null for the usual limit of the print method
     * @param  ?float  $smallestWords  least height of lower-case letters; null for the usual limit of the print method
     * @param  bool  $mirrored  whether the whole sheet is mirrored, for transfers that are applied face down
     * @param  list<Garment>  $cloths  garment colours on offer; empty if the house does not state them
     */
    public function __construct(
        public string $product,
        public string $place,
        public PrintArea $area,
        public float $least = 200.0,
        public float $margin = 0.0,
        public FileKind $kind = FileKind::Png,
        public ?float $mostMegabytes = null,
        public ?float $finestLine = null,
        public ?float $smallestWords = null,
        public bool $underbase = true,
        public bool $mirrored = false,
        public array $cloths = [],
    ) {}

    /** Identifies the place within its house. */
    public function key(): string
    {
        return mb_strtolower("$this->product/$this->place");
    }

    public function called(): string
    {
        return "$this->product, $this->place";
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'product' => $this->product, 'place' => $this->place,
            'area' => ['width' => $this->area->width, 'height' => $this->area->height, 'ppi' => $this->area->ppi->value],
            'least' => $this->least, 'margin' => $this->margin, 'kind' => $this->kind->value, 'mostMegabytes' => $this->mostMegabytes,
            'finestLine' => $this->finestLine, 'smallestWords' => $this->smallestWords, 'underbase' => $this->underbase, 'mirrored' => $this->mirrored,
            'cloths' => array_map(fn (Garment $one): array => ['name' => $one->name, 'colour' => $one->colour->toHex()], $this->cloths),
        ];
    }
}
