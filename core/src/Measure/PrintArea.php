<?php

declare(strict_types=1);

namespace TallCrow\Measure;

/** The print area of a print house, as the pixel size and resolution of the file it asks for. */
final readonly class PrintArea
{
    public const MAX_SIDE = 12000;

    private function __construct(
        public string $name,
        public int $width,
        public int $height,
        public Ppi $ppi,
    ) {}

    /** @throws UnusableMeasure */
    public static function pixels(string $name, int $width, int $height, Ppi $ppi): self
    {
        if ($width < 1 || $height < 1 || $width > self::MAX_SIDE || $height > self::MAX_SIDE) {
            throw UnusableMeasure::area($width, $height);
        }

        return new self($name, $width, $height, $ppi);
    }

    /** @throws UnusableMeasure */
    public static function inches(string $name, float $width, float $height, Ppi $ppi): self
    {
        return self::pixels($name, (int) round($width * $ppi->value), (int) round($height * $ppi->value), $ppi);
    }

    public function widthInches(): float
    {
        return $this->width / $this->ppi->value;
    }

    public function heightInches(): float
    {
        return $this->height / $this->ppi->value;
    }

    /** The preset of the same size, if there is one; otherwise the area itself. */
    public static function like(self $area): self
    {
        foreach (self::presets() as $preset) {
            if ($preset->width === $area->width && $preset->height === $area->height && $preset->ppi->value === $area->ppi->value) {
                return $preset;
            }
        }

        return $area;
    }

    /**
     * Common sizes (common practice, no published source) under descriptive names.
     *
     * @return array<string, self>
     */
    public static function presets(): array
    {
        $ppi = Ppi::of(300);

        return [
            'marketplace-shirt' => self::pixels('Marketplace shirt, 15 × 18 in', 4500, 5400, $ppi),
            'average-area' => self::pixels('Average print area, 12 × 16 in', 3600, 4800, $ppi),
            'square-chest' => self::pixels('Square chest, 12 × 12 in', 3600, 3600, $ppi),
            'large-square' => self::pixels('Large square, 5000 px', 5000, 5000, $ppi),
            'oversized-back' => self::pixels('Oversized back, 15 × 20 in', 4500, 6000, $ppi),
            'house-tee' => self::pixels('House tee area, 4494 × 5093 px', 4494, 5093, $ppi),
            'transfer-letter' => self::inches('Transfer sheet, 8.5 × 11 in', 8.5, 11, $ppi),
            'transfer-letter-wide' => self::inches('Transfer sheet, 11 × 8.5 in', 11, 8.5, $ppi),
            'transfer-large' => self::inches('Transfer sheet, 13 × 19 in', 13, 19, $ppi),
            'transfer-large-wide' => self::inches('Transfer sheet, 19 × 13 in', 19, 13, $ppi),
            'listing-picture' => self::pixels('Listing picture, 2500 × 2100 px', 2500, 2100, $ppi),
        ];
    }
}
