<?php

declare(strict_types=1);

namespace App\Bench;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Garment;
use TallCrow\Artwork\Product;
use TallCrow\Artwork\Side;

/** Summary of a saved sheet for lists of jobs. Stored with the revision, which never changes, so that a list need not read the sheets. */
final readonly class SheetFacts
{
    /** Increased when the stored form changes: older summaries are computed again. */
    private const VERSION = 1;

    /** @param  list<array{string, string}>  $cloths  name and "#rrggbb" of each garment colour */
    private function __construct(
        public Product $product,
        public Side $side,
        public int $width,
        public int $height,
        public float $ppi,
        public array $cloths,
        public int $layers,
    ) {}

    public static function of(Artwork $artwork): self
    {
        $cloths = array_map(fn (Garment $garment): array => [$garment->name, $garment->colour->toHex()], $artwork->brief->garments);

        return new self($artwork->brief->product, $artwork->brief->side, $artwork->sheet->width, $artwork->sheet->height, $artwork->sheet->ppi->value, $cloths, count($artwork->layers));
    }

    /** @return ?self null where none are kept, or those of an older version */
    public static function read(?string $kept): ?self
    {
        $facts = json_decode((string) $kept, true);
        if (! is_array($facts) || ($facts['version'] ?? null) !== self::VERSION) {
            return null;
        }

        /** @var array{product: string, side: string, width: int, height: int, ppi: float|int, cloths: list<array{string, string}>, layers: int} $facts */
        return new self(Product::from($facts['product']), Side::from($facts['side']), $facts['width'], $facts['height'], (float) $facts['ppi'], $facts['cloths'], $facts['layers']);
    }

    public function toJson(): string
    {
        return json_encode(['version' => self::VERSION] + get_object_vars($this), JSON_THROW_ON_ERROR);
    }
}
