<?php

declare(strict_types=1);

namespace TallCrow\House;

use TallCrow\Artwork\Garment;
use TallCrow\Export\FileKind;
use TallCrow\Measure\PrintArea;

/** One place on one product of a house, with all that the house asks of a file for it. Lengths are inches. */
final readonly class HousePlace
{
    /**
     * @param  string  $product  in the house's own naming, such as "Heavy tee"
     * @param  string  $place  such as "front" or "left sleeve"
     * @param  float  $least  ppi that is accepted at the house's width; the area's own is wanted
     * @param  float  $margin  that stays free at each edge
     * @param  ?float  $mostMegabytes  of 1,000,000 bytes; null for no limit
     * @param  ?float  $finestLine  null where the method's usual limit holds
     * @param  ?float  $smallestWords  height of small letters; null where the method's usual limit holds
     * @param  bool  $mirrored  the whole sheet, for transfers that are laid on face down
     * @param  list<Garment>  $cloths  on offer; none where the house does not say
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

    /** By which it is asked for within its house. */
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
