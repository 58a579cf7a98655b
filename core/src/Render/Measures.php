<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Geometry\Box;
use TallCrow\Type\Axis;
use TallCrow\Type\FontRefused;
use TallCrow\Type\MissingGlyphs;

/** What a layer measures as it lies on the sheet, in inches. */
final readonly class Measures
{
    /**
     * @param  array<int, string>  $idle  why an effect changes nothing here, by its index
     * @param  list<Axis>  $axes  of the variable fonts of its words
     */
    private function __construct(
        public string $id,
        /** Its own name, or a name from its source. */
        public string $called,
        /** Width of the unturned piece in inches, without rings. */
        public ?float $width,
        public ?float $height,
        /** Axis-parallel bounding box in inches, without rings. */
        public ?Box $box,
        /** Its box before it is flipped and turned, from the place that its placement tells. */
        public ?Box $own,
        /** For a raster, effective resolution: source pixels ÷ placed inches, the smaller of both axes. */
        public ?float $ppi,
        public ?string $trouble,
        /** For words: type size and cap height, in inches. */
        public ?float $em = null,
        public ?float $capitals = null,
        public array $idle = [],
        /** Whether its own effects make half-transparent ink. */
        public bool $fades = false,
        public array $axes = [],
    ) {}

    /** @return list<self> one for every layer at any depth */
    public static function of(Artwork $artwork, Placer $placer): array
    {
        return array_map(fn (Layer $layer): self => self::layer($layer, $placer), $artwork->everyLayer());
    }

    private static function layer(Layer $layer, Placer $placer): self
    {
        try {
            $placing = $placer->place($layer);
            $box = $placer->box($layer);

            $em = $placer->em($layer);

            return new self(
                $layer->id, $layer->called(), $placing->width ?? $box?->width(), $placing->height ?? $box?->height(), $box, $placing?->own(), $placer->effectivePpi($layer), $placer->missing($layer)?->getMessage(),
                $em, $em === null ? null : $em * $placer->capital($layer),
                (new IdleLines($placer))->of($layer), $layer->fades(), $placer->axes($layer),
            );
        } catch (AssetUnusable|MissingGlyphs|FontRefused $trouble) {
            return new self($layer->id, $layer->called(), null, null, null, null, null, $trouble->getMessage());
        }
    }
}
