<?php

declare(strict_types=1);

namespace TallCrow\Pack;

use TallCrow\Artwork\Node;
use ZipArchive;

/**
 * Reads the zip of a job file. The total size is checked before anything is unpacked, and unpacking stops at the limit
 * whatever sizes the zip states; only entries with known names are read, and names are never used as paths unchecked.
 *
 * @internal
 */
final readonly class JobPackReader
{
    private const MOST_FILES = 300;

    private const MOST_TEXT_BYTES = 4_000_000;

    private const MOST_FILE_BYTES = 60_000_000;

    private const MOST_BYTES = 400_000_000;

    private const COPIED = 1_048_576;

    /**
     * @param  array<string, int>  $entries  index in the zip by name
     * @param  array<string, array{sha256: string, terms: Terms}>  $listed  by name
     */
    private function __construct(
        private ZipArchive $zip,
        private array $entries,
        private array $listed,
    ) {}

    /** @throws JobPackRefused */
    public static function open(string $path): self
    {
        $zip = new ZipArchive;
        if (! is_file($path) || $zip->open($path, ZipArchive::RDONLY) !== true) {
            throw JobPackRefused::noZip();
        }
        $entries = self::entries($zip);
        if (! isset($entries[JobPack::MANIFEST])) {
            throw JobPackRefused::noManifest();
        }

        return new self($zip, $entries, self::listed(self::read($zip, $entries[JobPack::MANIFEST], JobPack::MANIFEST)));
    }

    public function close(): void
    {
        $this->zip->close();
    }

    /** @throws JobPackRefused */
    public function text(string $name): string
    {
        return self::read($this->zip, $this->entries[$name] ?? throw JobPackRefused::entry($name, 'is missing'), $name);
    }

    /**
     * @return list<PackedFile> copied into the folder, each checked against the manifest
     *
     * @throws JobPackRefused
     */
    public function files(string $folder): array
    {
        $files = [];
        $left = self::MOST_BYTES;
        foreach ($this->listed as $name => ['sha256' => $sha256, 'terms' => $terms]) {
            $target = $folder.'/'.$name;
            $left -= $this->copy(JobPack::FILES.$name, $target, min(self::MOST_FILE_BYTES, $left));
            if (! hash_equals($sha256, (string) hash_file('sha256', $target))) {
                throw JobPackRefused::entry($name, 'is not what the manifest says; the file was damaged or changed');
            }
            $files[] = new PackedFile($name, $target, $terms);
        }

        return $files;
    }

    private function copy(string $name, string $target, int $most): int
    {
        $place = $this->entries[$name] ?? throw JobPackRefused::entry($name, 'is missing');
        $from = $this->zip->getStreamIndex($place);
        $to = @fopen($target, 'xb');
        if ($from === false || $to === false) {
            throw $to === false ? JobPackRefused::unwritable($target) : JobPackRefused::entry($name, 'cannot be read');
        }
        $bytes = 0;
        try {
            while (! feof($from)) {
                $part = (string) fread($from, self::COPIED);
                $bytes += strlen($part);
                if ($bytes > $most) {
                    throw JobPackRefused::tooLarge(self::MOST_BYTES);
                }
                if (@fwrite($to, $part) !== strlen($part)) {
                    throw JobPackRefused::unwritable($target);
                }
            }
        } finally {
            fclose($from);
            fclose($to);
        }

        return $bytes;
    }

    /** @return array<string, int> */
    private static function entries(ZipArchive $zip): array
    {
        if ($zip->numFiles > self::MOST_FILES) {
            throw JobPackRefused::tooMany(self::MOST_FILES);
        }
        $entries = [];
        $bytes = 0;
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $entry = $zip->statIndex($i);
            if ($entry === false) {
                throw JobPackRefused::noZip();
            }
            if ($entry['encryption_method'] !== ZipArchive::EM_NONE) {
                throw JobPackRefused::entry($entry['name'], 'is locked with a password');
            }
            if (isset($entries[$entry['name']])) {
                throw JobPackRefused::entry($entry['name'], 'is there twice');
            }
            if (($bytes += $entry['size']) > self::MOST_BYTES) {
                throw JobPackRefused::tooLarge(self::MOST_BYTES);
            }
            $entries[$entry['name']] = $i;
        }

        return $entries;
    }

    private static function read(ZipArchive $zip, int $place, string $name): string
    {
        $stream = $zip->getStreamIndex($place);
        $text = $stream === false ? false : stream_get_contents($stream, self::MOST_TEXT_BYTES + 1);
        if ($text === false) {
            throw JobPackRefused::entry($name, 'cannot be read');
        }

        return strlen($text) > self::MOST_TEXT_BYTES ? throw JobPackRefused::tooLarge(self::MOST_TEXT_BYTES) : $text;
    }

    /** @return array<string, array{sha256: string, terms: Terms}> */
    private static function listed(string $json): array
    {
        $manifest = json_decode($json, true, 16);
        if (! is_array($manifest)) {
            throw JobPackRefused::noManifest();
        }
        if (($manifest['format'] ?? null) !== JobPack::FORMAT) {
            throw JobPackRefused::manifest(sprintf('is not of the format "%s"', JobPack::FORMAT));
        }
        $files = $manifest['files'] ?? null;
        if (! is_array($files) || ! array_is_list($files)) {
            throw JobPackRefused::manifest('has no list of files');
        }
        $listed = [];
        foreach ($files as $i => $file) {
            [$name, $sha256] = [self::word($file, 'name'), self::word($file, 'sha256')];
            if (preg_match('/'.Node::FILE_NAME.'/D', $name) !== 1 || in_array($name, [JobPack::SHEET, JobPack::MANIFEST], true)) {
                throw JobPackRefused::manifest(sprintf('lists a file (number %d) whose name is no plain name', $i + 1));
            }
            if (preg_match('/^[0-9a-f]{64}$/D', $sha256) !== 1) {
                throw JobPackRefused::manifest(sprintf('gives no SHA-256 for "%s"', $name));
            }
            if (isset($listed[strtolower($name)])) {
                throw JobPackRefused::manifest(sprintf('lists "%s" twice', $name));
            }
            $terms = is_array($file) ? ($file['terms'] ?? []) : [];
            $listed[strtolower($name)] = ['name' => $name, 'sha256' => $sha256, 'terms' => new Terms(
                mb_substr(self::word($terms, 'licence'), 0, 120), mb_substr(self::word($terms, 'author'), 0, 300), mb_substr(self::word($terms, 'url'), 0, 300),
            )];
        }

        return array_combine(array_column($listed, 'name'), array_map(fn (array $one): array => ['sha256' => $one['sha256'], 'terms' => $one['terms']], array_values($listed)));
    }

    private static function word(mixed $of, string $key): string
    {
        $word = is_array($of) ? ($of[$key] ?? '') : '';

        return is_string($word) && mb_check_encoding($word, 'UTF-8') ? $word : '';
    }
}
