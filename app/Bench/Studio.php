<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Shop;
use TallCrow\Asset\FolderShelf;
use TallCrow\Asset\Shelf;
use TallCrow\Render\FolderPictures;
use TallCrow\Render\Renderer;

/** A shop's shelf and the renderer that draws from it, with its store of kept pictures. */
final readonly class Studio
{
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
}
