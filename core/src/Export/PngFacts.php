<?php

declare(strict_types=1);

namespace TallCrow\Export;

use TallCrow\Measure\Ppi;

/** What a PNG file says of itself in its chunks (PNG Specification, Third Edition). */
final readonly class PngFacts
{
    private const PALETTE = 3;

    private const GREY = [0, 4];

    private function __construct(
        public int $width,
        public int $height,
        /** Bits to a sample. */
        public int $depth,
        public bool $isPalette,
        public bool $isGrey,
        public bool $isInterlaced,
        /** Stated pixels to the inch; null where none are stated. */
        public ?float $ppi,
        /** Name of the profile that it carries, or of its code points; null for sRGB and for none. */
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

    /** The description within a profile says more than the name of the chunk. */
    private static function described(string $data, string $name): ?string
    {
        $profile = @gzuncompress(substr($data, strlen($name) + 2));
        $text = $profile === false ? '' : (string) preg_replace('/[^\x20-\x7e]/', '', $profile);
        if (stripos($text, 'srgb') !== false) {
            return null;
        }

        // The text of the description stands after the last of the tags' and types' names.
        return preg_match('/.*(?:desc|mluc)([A-Za-z0-9][\w .()-]{2,40})/', $text, $found) === 1 ? trim($found[1]) : ($name === '' ? 'a profile' : $name);
    }
}
