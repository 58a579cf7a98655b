<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use ZipArchive;

/**
 * A zip of fonts, often the same face in several cuts. Treated as hostile: how many files it holds and how large they
 * say they are is looked at before anything is unpacked, and unpacking stops at that size whatever they say.
 */
final class FontPack
{
    public const MOST_FILES = 400;

    public const MOST_FONTS = 60;

    public const MOST_BYTES = 120_000_000;

    /** A font is seldom packed to less than a tenth; what is packed to a two-hundredth is no font. */
    private const MOST_RATIO = 200;

    private const FONTS = ['otf', 'ttf', 'woff', 'woff2'];

    /**
     * The fonts in the pack, copied into a folder.
     *
     * @return non-empty-list<array{path: string, name: string, cut: Cut}>
     *
     * @throws AssetUnusable
     */
    public static function unpack(string $zip, string $folder): array
    {
        $archive = new ZipArchive;
        if ($archive->open($zip, ZipArchive::RDONLY) !== true) {
            throw AssetUnusable::pack('it is broken, or no zip file');
        }
        try {
            $fonts = [];
            foreach (self::wanted($archive) as $i => $name) {
                $path = $folder.'/'.count($fonts).'.'.strtolower(pathinfo($name, PATHINFO_EXTENSION));
                self::copy($archive, $i, $name, $path);
                $fonts[] = ['path' => $path, 'name' => basename($name), 'cut' => Cut::of($name)];
            }
        } finally {
            $archive->close();
        }

        return $fonts === [] ? throw AssetUnusable::pack('it holds no OTF, TTF, WOFF or WOFF2 file') : $fonts;
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
            // What some systems put beside each file is no font.
            if (! in_array(strtolower(pathinfo($name, PATHINFO_EXTENSION)), self::FONTS, true) || str_starts_with(basename($name), '.') || str_contains($name, '__MACOSX')) {
                continue;
            }
            if ($entry['encryption_method'] !== ZipArchive::EM_NONE) {
                throw AssetUnusable::pack(sprintf('"%s" in it is locked with a password; unpack it and upload the fonts', basename($name)));
            }
            if ($entry['size'] > FolderShelf::MOST_FONT_BYTES) {
                throw AssetUnusable::tooLarge(basename($name), FolderShelf::MOST_FONT_BYTES);
            }
            if ($entry['size'] > self::MOST_RATIO * max(1, $entry['comp_size']) || ($bytes += $entry['size']) > self::MOST_BYTES) {
                throw AssetUnusable::pack(sprintf('unpacked it would be far larger than it is; %d MB is the most', self::MOST_BYTES / 1_000_000));
            }
            $wanted[$i] = $name;
        }
        if (count($wanted) > self::MOST_FONTS) {
            throw AssetUnusable::pack(sprintf('it holds %d fonts; %d is the most at once', count($wanted), self::MOST_FONTS));
        }

        return $wanted;
    }

    private static function copy(ZipArchive $archive, int $i, string $name, string $path): void
    {
        $from = $archive->getStreamIndex($i);
        $to = fopen($path, 'wb');
        if ($from === false || $to === false) {
            throw AssetUnusable::pack(sprintf('"%s" in it cannot be read', basename($name)));
        }
        try {
            if (stream_copy_to_stream($from, $to, FolderShelf::MOST_FONT_BYTES + 1) > FolderShelf::MOST_FONT_BYTES) {
                throw AssetUnusable::tooLarge(basename($name), FolderShelf::MOST_FONT_BYTES);
            }
        } finally {
            fclose($from);
            fclose($to);
        }
    }
}
