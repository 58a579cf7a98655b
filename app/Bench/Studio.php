<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Shop;
use TallCrow\Asset\FolderShelf;
use TallCrow\Asset\Shelf;
use TallCrow\Colour\Palette;
use TallCrow\Colour\Srgb;
use TallCrow\Colour\Swatch;
use TallCrow\Render\FolderPictures;
use TallCrow\Render\Renderer;

/** A shop's shelf and the renderer that draws from it, with its store of kept pictures. */
final readonly class Studio
{
    private const PALETTE_SIDE = 160;

    private function __construct(
        public Shelf $shelf,
        public Renderer $renderer,
        public FolderPictures $pictures,
    ) {}

    public static function of(Shop $shop): self
    {
        $shelf = new FolderShelf($shop->folder('assets'));
        $pictures = new FolderPictures($shop->folder('pictures'));

        return new self($shelf, new Renderer($shelf, $pictures), $pictures);
    }

    /**
     * The few colours that stand for a picture, clear parts aside.
     *
     * @return list<Swatch>
     */
    public function palette(string $file, int $count): array
    {
        $json = $this->pictures->text("palette-1 {$this->shelf->fingerprint($file)} $count", function () use ($file, $count): string {
            $picture = $this->shelf->picture($file);
            $pixels = $picture->pixels();
            $small = $pixels->resized(min(1.0, self::PALETTE_SIDE / max($pixels->width(), $pixels->height())));
            $bytes = '';
            foreach (str_split($small->toBytes(), 4) as $pixel) {
                $bytes .= ord($pixel[3]) > 127 ? substr($pixel, 0, 3) : '';
            }

            return json_encode(array_map(fn (Swatch $swatch): array => $swatch->toArray(), Palette::of($bytes, $count)), JSON_THROW_ON_ERROR);
        });
        /** @var list<array{name: string, colour: string, share: float}> $found */
        $found = json_decode($json, true);

        return array_map(fn (array $swatch): Swatch => new Swatch($swatch['name'], Srgb::hex($swatch['colour']), $swatch['share']), $found);
    }
}
