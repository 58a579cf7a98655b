<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Bench\AssetPreview;
use App\Bench\Studio;
use App\Files\ShopFiles;
use App\Models\Asset;
use App\Models\AssetKind;
use App\Models\Shop;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Asset\PictureRefused;
use TallCrow\Colour\Palette;
use TallCrow\Colour\Swatch;
use TallCrow\Raster\Likeness;
use TallCrow\Type\Font;
use TallCrow\Type\FontRefused;
use TallCrow\Type\Languages;

/** Properties of an asset derived from its content: hash, perceptual hash, colours, the languages of a font. */
final readonly class ShelfFacts
{
    private const COLOURS = 5;

    private function __construct(private Asset $asset) {}

    public static function of(Asset $asset): self
    {
        return new self($asset);
    }

    /** Measures and stores them; if the file cannot be read they stay empty. */
    public function keep(): void
    {
        $shop = Shop::query()->find($this->asset->shop_id);
        $path = $shop === null ? '' : ShopFiles::of($shop)->assetPath($this->asset);
        if ($shop !== null && is_file($path)) {
            $this->asset->sha256 = (string) hash_file('sha256', $path);
            try {
                $this->asset->kind === AssetKind::Font ? $this->font($path) : $this->picture($shop);
            } catch (AssetUnusable|FontRefused|PictureRefused) {
                $this->asset->look = '';
            }
            $this->asset->save();
        }
        ShelfWords::renew($this->asset);
    }

    private function font(string $path): void
    {
        $this->asset->languages = Languages::of(Font::fromBytes((string) file_get_contents($path)));
    }

    private function picture(Shop $shop): void
    {
        $studio = Studio::of($shop);
        $small = (new AssetPreview)->image($studio, $this->asset)->settled();
        $this->asset->look = Likeness::of($small);
        $bytes = '';
        foreach (str_split($small->toBytes(), 4) as $pixel) {
            $bytes .= strlen($pixel) === 4 && ord($pixel[3]) > 127 ? substr($pixel, 0, 3) : '';
        }
        $this->asset->colours = array_map(fn (Swatch $swatch): array => ['name' => $swatch->name, 'colour' => $swatch->colour->toHex()], $bytes === '' ? [] : Palette::of($bytes, self::COLOURS));
    }
}
