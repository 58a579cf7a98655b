<?php

declare(strict_types=1);

namespace TallCrow\Cli;

use TallCrow\Render\FolderPictures;
use TallCrow\Render\Pictures;

/** Where fields of wear and papers are kept from one call to the next. */
final class Materials
{
    /** Bytes that the folder may hold, unless CROW_MATERIALS_BYTES says otherwise: some thirty papers, or eighty textures. */
    public const MOST_BYTES = 3_000_000_000;

    /** @param  ?string  $folder  as the call names it; else the user's folder of caches (XDG Base Directory Specification), null where there is none to write in */
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
