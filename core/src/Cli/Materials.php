<?php

declare(strict_types=1);

namespace TallCrow\Cli;

use TallCrow\Render\FolderPictures;
use TallCrow\Render\Pictures;

/** The cache on disk for fields of wear and papers. */
final class Materials
{
    /** Greatest size of the folder in bytes unless CROW_MATERIALS_BYTES sets another: about thirty papers or eighty textures. */
    public const MOST_BYTES = 3_000_000_000;

    /** @param  ?string  $folder  given by the caller; otherwise the user's cache folder (XDG Base Directory Specification). The result is null if it is not writable */
    public static function kept(?string $folder = null): ?Pictures
    {
        $folder ??= self::usual();
        if ($folder === null || (! is_dir($folder) && ! @mkdir($folder, 0o700, true)) || ! is_writable($folder)) {
            return null;
        }

        return new FolderPictures($folder, (int) getenv('CROW_MATERIALS_BYTES') ?: self::MOST_BYTES);
    }

    private static function usual(): ?string
    {
        $caches = getenv('XDG_CACHE_HOME');
        $home = getenv('HOME');

        return match (true) {
            is_string($caches) && $caches !== '' => "$caches/tall-crow",
            is_string($home) && $home !== '' => "$home/.cache/tall-crow",
            default => null,
        };
    }
}
