<?php

declare(strict_types=1);

namespace TallCrow\Type;

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Path;

/**
 * The forms in which a font draws a letter of words: every substitution feature of the font is tried on that letter where it stands, so that also
 * ligatures and what depends on its neighbours are found. Forms of the same glyphs are told once.
 */
final readonly class LetterForms
{
    /** Alternates of one feature that are tried. */
    private const MOST = 40;

    /** Features that are on unless they are turned off (OpenType 1.9, "Registered features"). */
    private const USUAL = ['liga', 'clig', 'calt'];

    /** It gathers the alternates of all other features, so it is tried last. */
    private const ALL_ALTERNATES = 'aalt';

    /** @param  list<string>  $features  those of the line without the letter's own, in HarfBuzz's notation */
    private function __construct(private Font $font, private string $line, private Character $letter, private array $features) {}

    /**
     * The usual form first; none if the words have no such letter.
     *
     * @param  ?\Closure(string): Font  $named  finds the font of a line that has its own
     * @param  int  $letter  the number of the letter whose forms are looked for, from 1
     * @param  WhichLetters  $told  how it is told: features that are told in the same way would be replaced, and are left aside
     * @return list<LetterForm>
     *
     * @throws FontRefused
     */
    public static function of(string $text, Font $font, Setting $setting, ?\Closure $named, int $letter, WhichLetters $told): array
    {
        $lines = $setting->rows($text);
        $characters = Character::ofLines($lines);
        $character = $characters[$letter - 1] ?? null;
        if ($character === null) {
            return [];
        }
        $row = array_values(array_filter($characters, fn (Character $one): bool => $one->line === $character->line));
        $own = $setting->font($character->line, $font, $named);
        $others = $setting->withoutFeaturesLike(FontFeature::of('', 0, $told, $letter))->features($row);
        $now = new self($own, $lines[$character->line], $character, $setting->features($row));

        return (new self($own, $lines[$character->line], $character, $others))->forms($now->drawn()['key']);
    }

    /** @return list<LetterForm> */
    private function forms(string $current): array
    {
        $usual = $this->drawn();
        $forms = [$usual['key'] => new LetterForm('', 0, null, $usual['outline'], $usual['key'] === $current)];
        $tags = $this->font->substitutions();
        usort($tags, fn (string $a, string $b): int => [$a === self::ALL_ALTERNATES, $a] <=> [$b === self::ALL_ALTERNATES, $b]);
        foreach ($tags as $tag) {
            $before = $usual['key'];
            for ($value = in_array($tag, self::USUAL, true) ? 0 : 1; $value <= self::MOST; $value++) {
                $drawn = $this->drawn(FontFeature::of($tag, $value));
                // A feature of a single substitution draws the same for every value, one of alternates the usual form beyond the last.
                if ($value > 0 && in_array($drawn['key'], [$before, $usual['key']], true)) {
                    break;
                }
                $before = $drawn['key'];
                $forms[$before] ??= new LetterForm($tag, $value, $this->font->named($tag), $drawn['outline'], $before === $current);
            }
        }

        return array_values($forms);
    }

    /** @return array{key: string, outline: Path} the glyphs that stand for the letter, in visual order */
    private function drawn(?FontFeature $feature = null): array
    {
        $glyphs = $this->font->shape($this->line, $feature === null ? $this->features : [...$this->features, $feature->forOne($this->letter)]);
        $starts = array_unique(array_map(fn (Glyph $glyph): int => $glyph->cluster, $glyphs));
        $from = max([0, ...array_filter($starts, fn (int $start): bool => $start <= $this->letter->start)]);
        $parts = [];
        [$key, $x] = ['', 0.0];
        foreach ($glyphs as $glyph) {
            if ($glyph->cluster >= $from && $glyph->cluster < $this->letter->end()) {
                $parts[] = $this->font->outline($glyph->id)->transformed(Affine::shift($x + $glyph->shiftX, $glyph->shiftY));
                [$key, $x] = [$key." $glyph->id", $x + $glyph->advance];
            }
        }

        return ['key' => "glyphs$key", 'outline' => Path::join(...$parts)];
    }
}
