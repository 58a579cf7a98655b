<?php

declare(strict_types=1);

namespace TallCrow\Raster;

/** The colour space chunks of a PNG: cICP, sRGB, gAMA, cHRM (PNG, third edition, 11.3.2). */
final readonly class PngColours
{
    /** ITU-T H.273, table 2: x, y of red, green, blue and white, by code. */
    private const PRIMARIES = [
        1 => [0.64, 0.33, 0.30, 0.60, 0.15, 0.06, 0.3127, 0.3290],
        5 => [0.64, 0.33, 0.29, 0.60, 0.15, 0.06, 0.3127, 0.3290],
        6 => [0.63, 0.34, 0.31, 0.595, 0.155, 0.07, 0.3127, 0.3290],
        9 => [0.708, 0.292, 0.170, 0.797, 0.131, 0.046, 0.3127, 0.3290],
        11 => [0.68, 0.32, 0.265, 0.69, 0.15, 0.06, 0.314, 0.351],
        12 => [0.68, 0.32, 0.265, 0.69, 0.15, 0.06, 0.3127, 0.3290],
    ];

    /** H.273, table 3: gamma by code. Null is the curve of sRGB, which is also used to show the camera curves 1, 6, 14 and 15. */
    private const CURVES = [1 => null, 4 => 2.2, 5 => 2.8, 6 => null, 8 => 1.0, 13 => null, 14 => null, 15 => null];

    private const LONGEST = 64;

    private function __construct(
        /** A colour space other than sRGB, which takes precedence over a profile; null if none is stated. */
        public ?RgbSpace $space,
        public bool $isSrgb,
    ) {}

    /** @throws RasterFailed */
    public static function read(string $path): self
    {
        $chunks = self::chunks($path);
        if (isset($chunks['cICP']) && strlen($chunks['cICP']) === 4) {
            return self::stated(self::coded(ord($chunks['cICP'][0]), ord($chunks['cICP'][1])));
        }
        if (isset($chunks['iCCP']) || isset($chunks['sRGB'])) {
            return new self(null, ! isset($chunks['iCCP']));
        }
        $gamma = isset($chunks['gAMA']) && strlen($chunks['gAMA']) === 4 ? self::numbers($chunks['gAMA'])[0] / 100_000 : null;
        $places = isset($chunks['cHRM']) && strlen($chunks['cHRM']) === 32 ? array_map(fn (int $n): float => $n / 100_000, self::numbers($chunks['cHRM'])) : null;
        if (($gamma === null || $gamma <= 0.05 || $gamma > 5) && $places === null) {
            return new self(null, false);
        }
        $plain = RgbSpace::srgb();
        // cHRM lists white first.
        $space = new RgbSpace($places === null ? $plain->places : [...array_slice($places, 2), $places[0], $places[1]], $gamma === null || $gamma <= 0.05 || $gamma > 5 ? null : 1 / $gamma);

        return self::stated($space);
    }

    private static function stated(RgbSpace $space): self
    {
        return $space->isSrgb() ? new self(null, true) : new self($space, false);
    }

    private static function coded(int $primaries, int $curve): RgbSpace
    {
        if ($curve === 16 || $curve === 18) {
            throw RasterFailed::during('colour', 'it is a picture of high dynamic range; save it for ordinary screens, as sRGB');
        }

        return new RgbSpace(self::PRIMARIES[$primaries] ?? self::PRIMARIES[1], self::CURVES[$curve] ?? null);
    }

    /** @return list<int> */
    private static function numbers(string $data): array
    {
        /** @var array<int, int> $read */
        $read = unpack('N*', $data);

        return array_values($read);
    }

    /** @return array<string, string> the small chunks before the pixel data */
    private static function chunks(string $path): array
    {
        $file = @fopen($path, 'rb');
        if ($file === false) {
            return [];
        }
        $found = [];
        fseek($file, 8);
        while (strlen($head = (string) fread($file, 8)) === 8) {
            /** @var array{length: int, type: string} $read */
            $read = unpack('Nlength/a4type', $head);
            if ($read['type'] === 'IDAT' || $read['type'] === 'IEND') {
                break;
            }
            $found[$read['type']] = $read['length'] > 0 && $read['length'] <= self::LONGEST ? (string) fread($file, $read['length']) : '';
            if ($read['length'] > self::LONGEST) {
                fseek($file, $read['length'], SEEK_CUR);
            }
            fseek($file, 4, SEEK_CUR);
        }
        fclose($file);

        return $found;
    }
}
