<?php

declare(strict_types=1);

namespace TallCrow\Export;

use TallCrow\Measure\Ppi;

/** Metadata of a PNG file, from its chunks (PNG Specification, Third Edition). */
final readonly class PngFacts
{
    private const PALETTE = 3;

    private const GREY = [0, 4];

    private function __construct(
        public int $width,
        public int $height,
        /** Bits per sample. */
        public int $depth,
        public bool $isPalette,
        public bool $isGrey,
        public bool $isInterlaced,
        /** Stated ppi; null if there is none. */
        public ?float $ppi,
        /** Name of its colour profile or code points; null for sRGB or none. */
        public ?string $profile,
        public int $bytes,
    ) {}

    /** @throws PngBroken */
    public static function of(string $path): self
    {
        $head = ['width' => 0, 'height' => 0, 'depth' => 8, 'type' => 6, 'interlace' => 0];
        $ppi = $profile = null;
        foreach (PngFile::chunks($path) as $chunk) {
            if ($chunk->type === 'IHDR' && strlen($chunk->data) === 13) {
                /** @var array{width: int, height: int, depth: int, type: int, interlace: int} $head */
                $head = unpack('Nwidth/Nheight/Cdepth/Ctype/x2/Cinterlace', $chunk->data);
            } elseif ($chunk->type === 'pHYs' && strlen($chunk->data) === 9 && ord($chunk->data[8]) === 1) {
                $perMetre = (int) ((array) unpack('N', $chunk->data))[1];
                $ppi = $perMetre === 0 ? null : round(Ppi::fromPerMetre($perMetre)->value, 2);
            } elseif ($chunk->type === 'iCCP') {
                $name = strstr($chunk->data, "\0", true);
                $profile = stripos((string) $name, 'srgb') === false ? self::described($chunk->data, (string) $name) : null;
            } elseif ($chunk->type === 'cICP' && strlen($chunk->data) === 4) {
                // ITU-T H.273: 1 and 13 are the primaries and the curve of sRGB.
                $profile = ord($chunk->data[0]) === 1 && ord($chunk->data[1]) === 13 ? null : sprintf('code points %d, %d', ord($chunk->data[0]), ord($chunk->data[1]));
            }
        }

        return new self(
            (int) $head['width'], (int) $head['height'], (int) $head['depth'], $head['type'] === self::PALETTE, in_array($head['type'], self::GREY, true),
            $head['interlace'] !== 0, $ppi, $profile, (int) filesize($path),
        );
    }

    /** The description of a profile; null for sRGB. */
    private static function described(string $data, string $name): ?string
    {
        $profile = @gzuncompress(substr($data, strlen($name) + 2));
        $told = $profile === false ? '' : self::description($profile);

        return stripos($told, 'srgb') !== false ? null : ($told !== '' ? $told : ($name === '' ? 'a profile' : $name));
    }

    /** The text of the tag "desc" (ICC.1:2022, 9.2.41 and 10.15; ICC.1:2001-04, 6.5.17 for profiles of version 2). */
    private static function description(string $profile): string
    {
        $number = fn (int $at): int => strlen($profile) >= $at + 4 ? (int) ((array) unpack('N', $profile, $at))[1] : 0;
        for ($i = 0; $i < min(100, $number(128)); $i++) {
            $entry = 132 + 12 * $i;
            if (substr($profile, $entry, 4) === 'desc') {
                $at = $number($entry + 4);
                $text = substr($profile, $at, 4) === 'mluc'
                    ? (string) iconv('UTF-16BE', 'UTF-8//IGNORE', substr($profile, $at + $number($at + 24), min(400, $number($at + 20))))
                    : substr($profile, $at + 12, min(200, $number($at + 8)));

                return trim(str_replace("\0", '', $text));
            }
        }

        return '';
    }
}
