<?php

declare(strict_types=1);

namespace TallCrow\Type;

use TallCrow\Geometry\Affine;

/** Sets lines of text as outlines, in ems: the first baseline at 0, y down. */
final class Typesetter
{
    /**
     * Only letters that leave ink are answered; a space is room and no letter.
     *
     * @return list<Letter>
     *
     * @throws MissingGlyphs|FontRefused
     */
    public static function set(string $text, Font $font, Setting $setting): array
    {
        $lines = explode("\n", str_replace(["\r\n", "\r"], "\n", $text));
        $missing = [];
        $rows = [];
        foreach ($lines as $number => $line) {
            $rows[] = self::row($line, $number, $font, $setting, $missing);
        }
        if ($missing !== []) {
            throw MissingGlyphs::of(array_values(array_unique($missing)), $font->family);
        }

        $widest = max([0.0, ...array_column($rows, 'width')]);
        $letters = [];
        foreach ($rows as $row) {
            $indent = match ($setting->alignment) {
                Alignment::Left => 0.0,
                Alignment::Centre => ($widest - $row['width']) / 2,
                Alignment::Right => $widest - $row['width'],
            };
            foreach ($row['letters'] as $letter) {
                $letters[] = $letter->withPath($letter->path->transformed(Affine::shift($indent, 0)));
            }
        }

        return $letters;
    }

    /**
     * @param  list<string>  $missing
     * @return array{width: float, letters: list<Letter>}
     */
    private static function row(string $line, int $number, Font $font, Setting $setting, array &$missing): array
    {
        $spacing = $setting->tracking / 1000;
        // A ligature has no room inside it for letter-spacing, so wide setting goes without (CSS Text 3, §8.2).
        $glyphs = $font->shape($line, $spacing == 0.0 ? [] : ['-liga', '-clig']);
        $x = 0.0;
        $letters = [];
        foreach ($glyphs as $i => $glyph) {
            $characters = self::cluster($line, $glyph->cluster, $glyphs);
            if ($glyph->id === 0) {
                $missing[] = mb_substr($characters, 0, 1);
            }
            $path = $font->outline($glyph->id);
            if (! $path->isEmpty()) {
                $letters[] = new Letter($path->transformed(Affine::shift($x + $glyph->shiftX, $number * $setting->leading + $glyph->shiftY)), $number, $characters);
            }
            $x += $glyph->advance;
            if ($i < count($glyphs) - 1 && $glyphs[$i + 1]->cluster !== $glyph->cluster) {
                $x += $spacing;
            }
        }

        return ['width' => $x, 'letters' => $letters];
    }

    /** @param  list<Glyph>  $glyphs */
    private static function cluster(string $line, int $start, array $glyphs): string
    {
        $end = strlen($line);
        foreach ($glyphs as $glyph) {
            if ($glyph->cluster > $start && $glyph->cluster < $end) {
                $end = $glyph->cluster;
            }
        }

        return substr($line, $start, $end - $start);
    }
}
