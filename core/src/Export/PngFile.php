<?php

declare(strict_types=1);

namespace TallCrow\Export;

/** Reads and rewrites the chunks of a PNG file. */
final class PngFile
{
    public const SIGNATURE = "\x89PNG\r\n\x1a\n";

    private const LONGEST_CHUNK = 0x7FFFFFFF;

    /**
     * The chunks in order, with image data left empty: its length is not what a reader of chunks asks for.
     *
     * @return list<PngChunk>
     *
     * @throws PngBroken
     */
    public static function chunks(string $path): array
    {
        $chunks = [];
        foreach (self::walk($path) as [$type, $length, $file]) {
            $data = '';
            if ($type !== 'IDAT' && $length > 0 && $length < 4_000_000) {
                $data = (string) fread($file, $length);
            }
            $chunks[] = new PngChunk($type, $data);
        }

        return $chunks;
    }

    /**
     * Copies a file with further chunks right after its header, as an ordinary writer would have put them.
     *
     * @param  list<PngChunk>  $add
     *
     * @throws PngBroken
     */
    public static function withChunks(string $from, string $to, array $add): void
    {
        $out = fopen($to, 'wb') ?: throw PngBroken::unwritable($to);
        self::put($out, self::SIGNATURE, $to);
        foreach (self::walk($from) as [$type, $length, $file]) {
            if (! in_array($type, array_column($add, 'type'), true)) {
                fseek($file, -8, SEEK_CUR);
                // A copy cut short is found here and not by the print house.
                if (@stream_copy_to_stream($file, $out, $length + 12) !== $length + 12) {
                    throw feof($file) ? PngBroken::short($from) : PngBroken::unwritable($to);
                }
            }
            if ($type === 'IHDR') {
                foreach ($add as $chunk) {
                    self::put($out, $chunk->bytes(), $to);
                }
            }
        }
        if (! fflush($out) || ! fclose($out)) {
            throw PngBroken::unwritable($to);
        }
    }

    /** @param  resource  $out */
    private static function put(mixed $out, string $bytes, string $to): void
    {
        if (@fwrite($out, $bytes) !== strlen($bytes)) {
            throw PngBroken::unwritable($to);
        }
    }

    /**
     * Stands at the start of each chunk's data.
     *
     * @return \Generator<array{string, int, resource}>
     */
    private static function walk(string $path): \Generator
    {
        $file = @fopen($path, 'rb') ?: throw PngBroken::unreadable($path);
        try {
            if (fread($file, 8) !== self::SIGNATURE) {
                throw PngBroken::notPng($path);
            }
            do {
                $head = (string) fread($file, 8);
                if (strlen($head) < 8) {
                    throw PngBroken::short($path);
                }
                /** @var array{length: int, type: string} $read */
                $read = unpack('Nlength/a4type', $head);
                if ($read['length'] > self::LONGEST_CHUNK) {
                    throw PngBroken::short($path);
                }
                $start = (int) ftell($file);
                yield [$read['type'], $read['length'], $file];
                fseek($file, $start + $read['length'] + 4);
            } while ($read['type'] !== 'IEND');
        } finally {
            fclose($file);
        }
    }
}
