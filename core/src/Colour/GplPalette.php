<?php

declare(strict_types=1);

namespace TallCrow\Colour;

/**
 * Writes palettes in the .gpl text format: the header line "GIMP Palette" that the format requires, then one line per colour with red, green, blue and name.
 */
final class GplPalette
{
    private const FIRST = 'GIMP Palette';

    private const MOST = 256;

    /** @param  list<Swatch>  $swatches */
    public static function write(string $name, array $swatches): string
    {
        $lines = [self::FIRST, 'Name: '.self::plain($name), 'Columns: 8', '#'];
        foreach ($swatches as $swatch) {
            $lines[] = sprintf("%3d %3d %3d\t%s", $swatch->colour->red, $swatch->colour->green, $swatch->colour->blue, self::plain($swatch->name));
        }

        return implode("\n", $lines)."\n";
    }

    /**
     * @return list<Swatch>
     *
     * @throws PaletteRefused
     */
    public static function read(string $text): array
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            $text = mb_convert_encoding($text, 'UTF-8', 'ISO-8859-1');
        }
        $lines = preg_split('/\r\n|\r|\n/', $text) ?: [];
        if (trim(array_shift($lines) ?? '', "\u{feff} \t") !== self::FIRST) {
            throw PaletteRefused::first();
        }
        $swatches = [];
        foreach ($lines as $i => $line) {
            if (trim($line) === '' || preg_match('/^\s*(#|Name:|Columns:)/', $line) === 1) {
                continue;
            }
            if (preg_match('/^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/u', $line, $found) !== 1 || max($found[1], $found[2], $found[3]) > 255) {
                throw PaletteRefused::line($i + 2, $line);
            }
            if (count($swatches) === self::MOST) {
                throw PaletteRefused::long(self::MOST);
            }
            $colour = Srgb::of((int) $found[1], (int) $found[2], (int) $found[3]);
            $name = trim($found[4] ?? '');
            $swatches[] = new Swatch($name === '' || $name === 'Untitled' ? $colour->toHex() : mb_substr($name, 0, 60), $colour);
        }

        return $swatches;
    }

    private static function plain(string $name): string
    {
        return trim((string) preg_replace('/\s+/', ' ', $name));
    }
}
