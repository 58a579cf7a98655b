<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use TallCrow\Type\Font;

/** Several shelves as one: a file is taken from the first that has it. */
final readonly class ManyShelves implements Shelf
{
    /** @param  non-empty-list<FolderShelf>  $shelves */
    public function __construct(private array $shelves) {}

    public function font(string $name): Font
    {
        return $this->with($name)->font($name);
    }

    public function picture(string $name): Picture
    {
        return $this->with($name)->picture($name);
    }

    public function fingerprint(string $name): string
    {
        return $this->with($name)->fingerprint($name);
    }

    /**
     * Where a file lies.
     *
     * @throws AssetUnusable
     */
    public function path(string $name): string
    {
        return $this->with($name)->path($name);
    }

    private function with(string $name): FolderShelf
    {
        foreach ($this->shelves as $shelf) {
            if ($shelf->has($name)) {
                return $shelf;
            }
        }
        throw AssetUnusable::missing($name);
    }
}
