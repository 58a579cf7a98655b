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
    /** @param  array<int, string>  $idle  why a line among the effects can do nothing here, by its number */
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
        /** Of words: their type size, and the height of their capitals. */
        public ?float $em = null,
        public ?float $capitals = null,
        public array $idle = [],
        /** Whether half-transparent ink comes of its own lines. */
        public bool $fades = false,
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

            $em = $placer->em($layer);

            return new self(
                $layer->id, $layer->called(), $placing->width ?? $box?->width(), $placing->height ?? $box?->height(), $box, $placer->effectivePpi($layer), $placer->missing($layer)?->getMessage(),
                $em, $em === null ? null : $em * $placer->capital($layer),
                (new IdleLines($placer))->of($layer), $layer->fades(),
            );
        } catch (AssetUnusable|MissingGlyphs|FontRefused $trouble) {
            return new self($layer->id, $layer->called(), null, null, null, null, $trouble->getMessage());
        }
    }
}
