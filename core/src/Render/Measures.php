<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Geometry\Box;
use TallCrow\Type\FontRefused;
use TallCrow\Type\MissingGlyphs;

/** What a layer measures as it lies on the sheet, in inches. */
final readonly class Measures
{
    private function __construct(
        public string $id,
        /** Its own name, or what its source is called. */
        public string $called,
        /** Of the piece before its turn, without rings. */
        public ?float $width,
        public ?float $height,
        /** Upright, without rings. */
        public ?Box $box,
        /** Of a raster: source pixels ÷ placed inches, the lesser way. */
        public ?float $ppi,
        public ?string $trouble,
    ) {}

    /** @return list<self> of every layer at any depth */
    public static function of(Artwork $artwork, Placer $placer): array
    {
        return array_map(fn (Layer $layer): self => self::layer($layer, $placer), $artwork->everyLayer());
    }

    private static function layer(Layer $layer, Placer $placer): self
    {
        try {
            $placing = $placer->place($layer);
            $box = $placer->box($layer);

            return new self($layer->id, $layer->called(), $placing->width ?? $box?->width(), $placing->height ?? $box?->height(), $box, $placer->effectivePpi($layer), null);
        } catch (AssetUnusable|MissingGlyphs|FontRefused $trouble) {
            return new self($layer->id, $layer->called(), null, null, null, null, $trouble->getMessage());
        }
    }
}
