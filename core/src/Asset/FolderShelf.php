<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use TallCrow\Type\Font;
use TallCrow\Type\FontRefused;

/** Files that lie in one folder. */
final class FolderShelf implements Shelf
{
    public const MOST_FONT_BYTES = 30_000_000;

    /** @var array<string, Font> */
    private array $fonts = [];

    /** @var array<string, Picture> */
    private array $pictures = [];

    /** @var array<string, string> by path, size, time and inode of the file */
    private array $fingerprints = [];

    public function __construct(private readonly string $folder) {}

    public function font(string $name): Font
    {
        try {
            return $this->fonts[$name] ??= Font::fromBytes($this->bytes($name));
        } catch (FontRefused $refused) {
            throw AssetUnusable::because($name, $refused);
        }
    }

    public function picture(string $name): Picture
    {
        try {
            return $this->pictures[$name] ??= PictureReader::open($this->path($name));
        } catch (PictureRefused $refused) {
            throw AssetUnusable::because($name, $refused);
        }
    }

    public function fingerprint(string $name): string
    {
        $path = $this->path($name);

        return $this->fingerprints[$path.':'.filesize($path).':'.filemtime($path).':'.fileinode($path)] ??= $name.':'.hash_file('xxh128', $path);
    }

    private function bytes(string $name): string
    {
        $path = $this->path($name);
        if ((int) filesize($path) > self::MOST_FONT_BYTES) {
            throw AssetUnusable::tooLarge($name, self::MOST_FONT_BYTES);
        }

        return (string) file_get_contents($path);
    }

    public function has(string $name): bool
    {
        return basename($name) === $name && ! str_starts_with($name, '.') && is_file($this->folder.'/'.$name);
    }

    /**
     * Where a file lies.
     *
     * @throws AssetUnusable
     */
    public function path(string $name): string
    {
        return $this->has($name) ? $this->folder.'/'.$name : throw AssetUnusable::missing($name);
    }
}
