<?php

declare(strict_types=1);

namespace TallCrow\Cli;

use TallCrow\Pack\PackedFile;
use TallCrow\Pack\Terms;

/** Reads and writes the licences of a folder's files: licences.json beside them, keyed by file name. */
final class ShelfTerms
{
    public const FILE = 'licences.json';

    /**
     * @param  list<string>  $folders
     * @return array<string, Terms> by file name; the first folder that states them wins
     */
    public static function of(array $folders): array
    {
        $terms = [];
        foreach ($folders as $folder) {
            $read = is_file("$folder/".self::FILE) ? json_decode((string) file_get_contents("$folder/".self::FILE), true) : [];
            foreach (is_array($read) ? $read : [] as $name => $one) {
                $word = fn (string $key): string => is_array($one) && is_string($one[$key] ?? null) ? $one[$key] : '';
                $terms[(string) $name] ??= new Terms($word('licence'), $word('author'), $word('url'));
            }
        }

        return $terms;
    }

    /** @param  list<PackedFile>  $files */
    public static function write(string $folder, array $files): void
    {
        $terms = [];
        foreach ($files as $file) {
            $terms[$file->name] = $file->terms->toArray();
        }
        file_put_contents("$folder/".self::FILE, json_encode($terms, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n");
    }
}
