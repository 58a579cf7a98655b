<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use TallCrow\Type\Font;

/** Where an artwork's fonts and pictures are found, by the names that stand in its file. */
interface Shelf
{
    /** @throws AssetUnusable */
    public function font(string $name): Font;

    /** @throws AssetUnusable */
    public function picture(string $name): Picture;

    /**
     * Changes when the file's content does.
     *
     * @throws AssetUnusable
     */
    public function fingerprint(string $name): string;
}
