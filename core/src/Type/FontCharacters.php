<?php

declare(strict_types=1);

namespace TallCrow\Type;

use FFI\CData;

/**
 * Reads which characters an opened font covers.
 *
 * @internal
 */
final class FontCharacters
{
    private const LAST_CONTROL = 0x1F;

    /** HarfBuzz's HB_SET_VALUE_INVALID: where its sets begin to be read. */
    private const BEFORE_FIRST = 0xFFFFFFFF;

    /** @return list<string> in the order of Unicode, without control characters */
    public static function of(CData $hbFace): array
    {
        $set = FreeType::hb('hb_set_create');
        FreeType::hb('hb_face_collect_unicodes', $hbFace, $set);
        FreeType::hb('hb_set_del_range', $set, 0, self::LAST_CONTROL);
        $next = FreeType::pointer(FreeType::harfbuzz(), 'unsigned int[1]');
        $next[0] = self::BEFORE_FIRST;
        $found = [];
        while (FreeType::hb('hb_set_next', $set, $next) !== 0) {
            $found[] = mb_chr((int) $next[0], 'UTF-8');
        }
        FreeType::hb('hb_set_destroy', $set);

        return array_values(array_filter($found, is_string(...)));
    }
}
