<?php

declare(strict_types=1);

namespace TallCrow\Type;

use FFI;
use FFI\CData;

/**
 * Reads the names that a font holds for its parts.
 *
 * @internal
 */
final class FontNames
{
    private const MOST = 64;

    /** An English name from the font's own table, by its number there; null if there is none. */
    public static function of(CData $hbFace, int $number): ?string
    {
        $size = FreeType::pointer(FreeType::harfbuzz(), 'unsigned int[1]');
        $size[0] = self::MOST;
        $text = FreeType::pointer(FreeType::harfbuzz(), 'char['.self::MOST.']');
        FreeType::hb('hb_ot_name_get_utf8', $hbFace, $number, FreeType::hb('hb_language_from_string', 'en', -1), $size, $text);
        $name = mb_scrub(FFI::string($text));

        return $name === '' ? null : $name;
    }
}
