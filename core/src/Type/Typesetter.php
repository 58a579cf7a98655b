<?php

declare(strict_types=1);

namespace TallCrow\Type;

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Path;

/** Sets lines of text as outlines. Coordinates are in ems of the text's size, with the first baseline at 0 and y pointing down. */
final class Typesetter
{
    private const LEAST_INK = 1e-6;

    /** Height and line width, in ems, of the frame for a missing letter. */
    private const CAPITALS = 0.7;

    private const FRAME = 0.03;

    /** @var list<string> */
    private array $missing = [];

    private string $family = '';

    private int $word = -1;

    /** @param  ?\Closure(string): Font  $named  finds the font of a line that has its own */
    private function __construct(
        private readonly Setting $setting,
        private readonly Font $font,
        private readonly ?\Closure $named,
        private readonly bool $gaps,
    ) {}

    /**
     * Returns only letters that have ink; a space is no letter.
     *
     * @param  ?\Closure(string): Font  $named  finds the font of a line that has its own
     * @param  bool  $gaps  whether to replace letters that the font lacks by an empty frame
     * @return list<Letter>
     *
     * @throws MissingGlyphs|FontRefused  MissingGlyphs unless gaps are marked
     */
    public static function set(string $text, Font $font, Setting $setting, ?\Closure $named = null, bool $gaps = false): array
    {
        return (new self($setting, $font, $named, $gaps))->lines($setting->rows($text));
    }

    /**
     * @param  list<string>  $lines
     * @return list<Letter>
     */
    private function lines(array $lines): array
    {
        $rows = [];
        $characters = $this->setting->features === [] ? [] : Character::ofLines($lines);
        foreach ($lines as $number => $line) {
            $rows[] = $this->row($line, $number, array_values(array_filter($characters, fn (Character $one): bool => $one->line === $number)));
        }
        if ($this->missing !== []) {
            throw MissingGlyphs::of(array_values(array_unique($this->missing)), $this->family);
        }
        $rows = $this->setting->block === null ? $this->sized($rows) : self::fitted($rows, array_fill(0, count($rows), true));

        return $this->setting->block === null ? $this->stacked($rows) : $this->blocked($rows, $this->setting->block);
    }

    /**
     * @param  list<Character>  $characters  those of the line, where features ask for them
     * @return array{width: float, letters: list<Letter>, size: float}
     */
    private function row(string $line, int $number, array $characters): array
    {
        $font = $this->setting->font($number, $this->font, $this->named);
        $spacing = $this->setting->tracking / 1000;
        $glyphs = $font->shape($line, $this->setting->features($characters));
        $ends = $this->setting->ends == 1.0 ? [] : self::ends($glyphs, $font);
        $stops = self::stops($line, $glyphs);
        $x = 0.0;
        $letters = [];
        $fresh = true;
        foreach ($glyphs as $i => $glyph) {
            $characters = substr($line, $glyph->cluster, $stops[$glyph->cluster] - $glyph->cluster);
            $isGap = $glyph->id === 0;
            if ($isGap && ! $this->gaps) {
                $this->missing[] = mb_substr($characters, 0, 1);
                $this->family = $font->family;
            }
            $size = in_array($i, $ends, true) ? $this->setting->ends : 1.0;
            $path = $isGap && $this->gaps ? self::frame($glyph->advance) : $font->outline($glyph->id);
            $isSpace = trim($characters) === '';
            // Fonts of tiles and blocks draw their spaces, too.
            if (! $path->isEmpty() && ! ($isSpace && $isGap)) {
                $this->word += $fresh && ! $isSpace ? 1 : 0;
                $fresh = false;
                $down = $size == 1.0 ? 0.0 : $this->setting->stand->shift($path->bounds()->top, $size);
                $letters[] = new Letter(
                    $path->transformed(Affine::scale($size, $size)->then(Affine::shift($x + $glyph->shiftX * $size, $glyph->shiftY * $size + $down))),
                    $number, $characters, max(0, $this->word), $x + $glyph->advance * $size / 2, 0.0, isGap: $isGap,
                );
            }
            $fresh = $fresh || $isSpace;
            $x += $glyph->advance * $size;
            if ($i < count($glyphs) - 1 && $glyphs[$i + 1]->cluster !== $glyph->cluster) {
                $next = mb_substr(substr($line, $glyphs[$i + 1]->cluster, 4), 0, 1);
                $x += Scripts::join(mb_substr($characters, 0, 1), $next) ? 0.0 : $spacing;
                $x += ($glyphs[$i + 1]->cluster > $glyph->cluster ? $this->kern($characters, $next) : $this->kern($next, mb_substr($characters, 0, 1))) / 1000;
            }
        }

        return ['width' => $x, 'letters' => $letters, 'size' => 1.0];
    }

    /** An empty frame of usual cap height, as wide as a letter's advance. */
    private static function frame(float $advance): Path
    {
        $room = max(0.3, $advance);
        $box = fn (float $in): array => [[0.08 * $room + $in, -$in], [0.92 * $room - $in, -$in], [0.92 * $room - $in, -self::CAPITALS + $in], [0.08 * $room + $in, -self::CAPITALS + $in]];

        return Path::join(Path::polygon($box(0.0)), Path::polygon(array_reverse($box(self::FRAME))));
    }

    /**
     * @param  list<array{width: float, letters: list<Letter>, size: float}>  $rows
     * @return list<array{width: float, letters: list<Letter>, size: float}>
     */
    private function sized(array $rows): array
    {
        $fit = [];
        foreach ($rows as $number => $row) {
            $own = $this->setting->line($number);
            $rows[$number] = self::scaled($row, $own->size);
            $fit[] = $own->fitted;
        }

        return in_array(true, $fit, true) ? self::fitted($rows, $fit) : $rows;
    }

    /**
     * Scales the marked rows so that their ink is as wide as the widest row that is not marked, or of all rows.
     *
     * @param  list<array{width: float, letters: list<Letter>, size: float}>  $rows
     * @param  list<bool>  $fit
     * @return list<array{width: float, letters: list<Letter>, size: float}>
     */
    private static function fitted(array $rows, array $fit): array
    {
        $widths = array_map(fn (array $row): float => self::ink($row['letters'])?->width() ?? 0.0, $rows);
        $kept = array_filter($widths, fn (int $i): bool => ! $fit[$i], ARRAY_FILTER_USE_KEY);
        $target = max([0.0, ...($kept === [] ? $widths : $kept)]);
        foreach ($rows as $i => $row) {
            if ($fit[$i] && $widths[$i] > self::LEAST_INK) {
                $rows[$i] = self::scaled($row, $target / $widths[$i]);
            }
        }

        return $rows;
    }

    /**
     * Stacks rows by their baselines; the leading scales with each line.
     *
     * @param  list<array{width: float, letters: list<Letter>, size: float}>  $rows
     * @return list<Letter>
     */
    private function stacked(array $rows): array
    {
        $widest = max([0.0, ...array_column($rows, 'width')]);
        $letters = [];
        $y = 0.0;
        foreach ($rows as $number => $row) {
            $y += $number === 0 ? 0.0 : $this->setting->leading * $row['size'];
            $indent = $this->indent($widest - $row['width']);
            foreach ($row['letters'] as $letter) {
                $letters[] = $letter->transformed(Affine::shift($indent, $y));
            }
        }

        return $letters;
    }

    /**
     * Stacks rows of one width by their ink, with a fixed gap.
     *
     * @param  list<array{width: float, letters: list<Letter>, size: float}>  $rows
     * @return list<Letter>
     */
    private function blocked(array $rows, float $gap): array
    {
        $letters = [];
        $y = 0.0;
        foreach ($rows as $row) {
            $box = self::ink($row['letters']);
            if ($box === null) {
                continue;
            }
            foreach ($row['letters'] as $letter) {
                $letters[] = $letter->transformed(Affine::shift(-$box->left, $y - $box->top));
            }
            $y += $box->height() + $gap * $box->width();
        }

        return $letters;
    }

    private function indent(float $room): float
    {
        return match ($this->setting->alignment) {
            Alignment::Left => 0.0,
            Alignment::Centre => $room / 2,
            Alignment::Right => $room,
        };
    }

    /**
     * @param  array{width: float, letters: list<Letter>, size: float}  $row
     * @return array{width: float, letters: list<Letter>, size: float}
     */
    private static function scaled(array $row, float $by): array
    {
        return $by == 1.0 ? $row : [
            'width' => $row['width'] * $by,
            'letters' => array_map(fn (Letter $letter): Letter => $letter->transformed(Affine::scale($by, $by)), $row['letters']),
            'size' => $row['size'] * $by,
        ];
    }

    /** @param  list<Letter>  $letters */
    private static function ink(array $letters): ?Box
    {
        return $letters === [] ? null : Letter::together($letters)->bounds();
    }

    /**
     * @param  list<Glyph>  $glyphs
     * @return list<int> indexes of the first and the last glyph with ink
     */
    private static function ends(array $glyphs, Font $font): array
    {
        $inked = array_keys(array_filter($glyphs, fn (Glyph $glyph): bool => ! $font->outline($glyph->id)->isEmpty()));

        return $inked === [] ? [] : [$inked[0], $inked[count($inked) - 1]];
    }

    private function kern(string $before, string $after): float
    {
        return $this->setting->kerns === [] ? 0.0 : $this->setting->kerns[mb_substr($before, -1).$after] ?? 0.0;
    }

    /**
     * For each cluster, the byte offset at which its characters end.
     *
     * @param  list<Glyph>  $glyphs
     * @return array<int, int>
     */
    private static function stops(string $line, array $glyphs): array
    {
        $starts = array_values(array_unique(array_map(fn (Glyph $glyph): int => $glyph->cluster, $glyphs)));
        sort($starts);

        return $starts === [] ? [] : array_combine($starts, [...array_slice($starts, 1), strlen($line)]);
    }
}
