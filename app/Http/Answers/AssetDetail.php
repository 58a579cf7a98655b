<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** All details of one asset. */
final readonly class AssetDetail extends Answer
{
    /**
     * @param  list<AssetUse>  $uses  designs whose present sheet names it
     * @param  list<string>  $languages  that a font has all letters of
     * @param  list<ColourSeen>  $colours  of a picture
     * @param  list<AssetCard>  $same  with the very same content
     * @param  list<AssetCard>  $alike  pictures that look alike
     * @param  list<CollectionCard>  $collections  that it lies in
     */
    public function __construct(
        public AssetCard $card,
        public array $uses,
        public array $languages,
        public array $colours,
        public array $same,
        public array $alike,
        /** Width in inches up to which a picture has 300 ppi; null if it is not a raster. */
        public ?float $servesWidth,
        public ?float $servesHeight,
        public int $sold,
        public string $sha256,
        public string $cameAt,
        /** Null for pictures and for a font whose file is missing. */
        public ?FontHas $font,
        public array $collections,
    ) {}
}
