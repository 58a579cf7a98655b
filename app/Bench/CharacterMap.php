<?php

declare(strict_types=1);

namespace App\Bench;

use App\Http\Answers\FontCharacter;
use App\Http\Answers\FontCharacters;
use App\Http\Answers\GlyphDrawing;
use IntlChar;
use TallCrow\Geometry\Path;
use TallCrow\Type\Font;
use TallCrow\Type\FontRefused;

/** The characters that a font covers, found by themselves or by a part of their Unicode names. */
final readonly class CharacterMap
{
    public const PAGE = 120;

    public function __construct(private Font $font) {}

    /**
     * @param  string  $wanted  words that the name holds, or the character itself; empty for all
     * @param  int  $from  index of the first among those that are found
     */
    public function page(string $wanted, int $from): FontCharacters
    {
        $wanted = trim($wanted);
        $found = array_values(array_filter($this->font->characters(), fn (string $one): bool => preg_match('/^[\s\p{Cf}\p{Z}]$/u', $one) !== 1 && self::isMeant($one, $wanted)));

        return new FontCharacters(count($found), array_map(
            fn (string $one): FontCharacter => new FontCharacter($one, self::name($one), $this->drawing($one)),
            array_slice($found, $from, self::PAGE),
        ));
    }

    /** A single broken outline keeps nobody from the others. */
    private function drawing(string $character): GlyphDrawing
    {
        try {
            return GlyphDrawing::of($this->font->character($character));
        } catch (FontRefused) {
            return GlyphDrawing::of(Path::empty());
        }
    }

    private static function isMeant(string $character, string $wanted): bool
    {
        if ($wanted === '' || $character === $wanted) {
            return true;
        }
        $name = mb_strtolower(self::name($character));

        return mb_strlen($wanted) > 1 && array_filter(preg_split('/\s+/', mb_strtolower($wanted)) ?: [], fn (string $word): bool => ! str_contains($name, $word)) === [];
    }

    private static function name(string $character): string
    {
        $name = (string) IntlChar::charName($character);

        return $name === '' ? sprintf('U+%04X', (int) mb_ord($character)) : mb_strtolower($name);
    }
}
