<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use ZipArchive;

/**
 * A zip of fonts and pictures with their licence. Treated as hostile: the number of files and their declared sizes are checked before
 * anything is unpacked, and unpacking stops at the declared size.
 */
final class AssetPack
{
    public const MOST_FILES = 2000;

    public const MOST_PIECES = 400;

    public const MOST_BYTES = 240_000_000;

    /** Highest compression ratio: fonts and pictures seldom compress to less than a tenth, so a two-hundredth suggests a zip bomb. */
    private const MOST_RATIO = 200;

    private const FONTS = ['otf', 'ttf', 'woff', 'woff2'];

    private const PICTURES = ['png', 'jpg', 'jpeg', 'webp', 'svg'];

    private const TEXTS = ['txt', 'md', ''];

    private const MOST_PICTURE_BYTES = 60_000_000;

    private const MOST_TEXT_BYTES = 200_000;

    private const MOST_TEXTS = 10;

    /**
     * The fonts and pictures in the pack, copied into a folder.
     *
     * @return non-empty-list<array{path: string, name: string, cut: ?Cut}>  the cut of a font
     *
     * @throws AssetUnusable
     */
    public static function unpack(string $zip, string $folder): array
    {
        $archive = self::opened($zip);
        try {
            $pieces = [];
            foreach (self::wanted($archive) as $i => $name) {
                $isFont = self::isOf($name, self::FONTS);
                $path = $folder.'/'.count($pieces).'.'.strtolower(pathinfo($name, PATHINFO_EXTENSION));
                self::copy($archive, $i, $name, $path, $isFont ? FolderShelf::MOST_FONT_BYTES : self::MOST_PICTURE_BYTES);
                $pieces[] = ['path' => $path, 'name' => basename($name), 'cut' => $isFont ? Cut::of($name) : null];
            }
        } finally {
            $archive->close();
        }

        return $pieces === [] ? throw AssetUnusable::pack('it holds no font (OTF, TTF, WOFF, WOFF2) and no picture (PNG, JPEG, WebP, SVG)') : $pieces;
    }

    /**
     * The licences and notices in the pack, copied into a folder.
     *
     * @return list<array{path: string, name: string}>
     *
     * @throws AssetUnusable
     */
    public static function texts(string $zip, string $folder): array
    {
        $archive = self::opened($zip);
        $texts = [];
        try {
            for ($i = 0; $i < min($archive->numFiles, self::MOST_FILES) && count($texts) < self::MOST_TEXTS; $i++) {
                $entry = $archive->statIndex($i);
                $name = $entry === false ? '' : basename($entry['name']);
                if ($entry === false || preg_match('/^(ofl|licen[cs]e|copying|terms|eula|readme)/i', $name) !== 1 || ! self::isOf($name, self::TEXTS) || $entry['encryption_method'] !== ZipArchive::EM_NONE || $entry['size'] > self::MOST_TEXT_BYTES) {
                    continue;
                }
                $path = $folder.'/text-'.count($texts).'.txt';
                self::copy($archive, $i, $name, $path, self::MOST_TEXT_BYTES);
                $texts[] = ['path' => $path, 'name' => pathinfo($name, PATHINFO_FILENAME).'.txt'];
            }
        } finally {
            $archive->close();
        }

        return $texts;
    }

    private static function opened(string $zip): ZipArchive
    {
        $archive = new ZipArchive;
        if ($archive->open($zip, ZipArchive::RDONLY) !== true) {
            throw AssetUnusable::pack('it is broken, or no zip file');
        }

        return $archive;
    }

    /** @param  list<string>  $endings */
    private static function isOf(string $name, array $endings): bool
    {
        return in_array(strtolower(pathinfo($name, PATHINFO_EXTENSION)), $endings, true);
    }

    /** @return array<int, string> names by their place in the archive */
    private static function wanted(ZipArchive $archive): array
    {
        if ($archive->numFiles > self::MOST_FILES) {
            throw AssetUnusable::pack(sprintf('it holds %d files; %d is the most', $archive->numFiles, self::MOST_FILES));
        }
        $wanted = [];
        $bytes = 0;
        for ($i = 0; $i < $archive->numFiles; $i++) {
            $entry = $archive->statIndex($i);
            if ($entry === false) {
                throw AssetUnusable::pack('its list of files cannot be read');
            }
            $name = $entry['name'];
            // What some systems put beside each file is neither.
            $most = self::isOf($name, self::FONTS) ? FolderShelf::MOST_FONT_BYTES : self::MOST_PICTURE_BYTES;
            if (! self::isOf($name, [...self::FONTS, ...self::PICTURES]) || str_starts_with(basename($name), '.') || str_contains($name, '__MACOSX')) {
                continue;
            }
            if ($entry['encryption_method'] !== ZipArchive::EM_NONE) {
                throw AssetUnusable::pack(sprintf('"%s" in it is locked with a password; unpack it and upload what it holds', basename($name)));
            }
            if ($entry['size'] > $most) {
                throw AssetUnusable::tooLarge(basename($name), $most);
            }
            if ($entry['size'] > self::MOST_RATIO * max(1, $entry['comp_size']) || ($bytes += $entry['size']) > self::MOST_BYTES) {
                throw AssetUnusable::pack(sprintf('unpacked it would be far larger than it is; %d MB is the most', self::MOST_BYTES / 1_000_000));
            }
            $wanted[$i] = $name;
        }
        if (count($wanted) > self::MOST_PIECES) {
            throw AssetUnusable::pack(sprintf('it holds %d fonts and pictures; %d is the most at once', count($wanted), self::MOST_PIECES));
        }

        return $wanted;
    }

    private static function copy(ZipArchive $archive, int $i, string $name, string $path, int $most): void
    {
        $from = $archive->getStreamIndex($i);
        $to = fopen($path, 'wb');
        if ($from === false || $to === false) {
            throw AssetUnusable::pack(sprintf('"%s" in it cannot be read', basename($name)));
        }
        try {
            if (stream_copy_to_stream($from, $to, $most + 1) > $most) {
                throw AssetUnusable::tooLarge(basename($name), $most);
            }
        } finally {
            fclose($from);
            fclose($to);
        }
    }
}
