<?php

declare(strict_types=1);

namespace TallCrow\Type;

use FFI\CData;

/**
 * Reads the OpenType features of an opened font.
 *
 * @internal
 */
final class FontFeatures
{
    private const MOST = 400;

    /** OpenType 1.9, "Data types": four printable ASCII characters. */
    private const TAG = '/^[\x20-\x7E]{4}$/D';

    /** HarfBuzz's HB_OT_NAME_ID_INVALID. */
    private const NO_NAME = 0xFFFF;

    /**
     * @param  string  $table  "GSUB" for substitution, "GPOS" for positioning
     * @return list<string> by the index in the table; a tag stands there once for every set of lookups
     */
    private static function of(CData $hbFace, string $table): array
    {
        $count = FreeType::pointer(FreeType::harfbuzz(), 'unsigned int[1]');
        $tags = FreeType::pointer(FreeType::harfbuzz(), 'unsigned int['.self::MOST.']');
        $count[0] = self::MOST;
        FreeType::hb('hb_ot_layout_table_get_feature_tags', $hbFace, self::tag($table), 0, $count, $tags);
        $found = [];
        for ($i = 0; $i < $count[0]; $i++) {
            $found[] = pack('N', $tags[$i]);
        }

        return $found;
    }

    /**
     * @param  string  $table  as for of()
     * @return list<string> each tag once, without those that no file could name
     */
    public static function tags(CData $hbFace, string $table): array
    {
        return array_values(array_unique(array_filter(self::of($hbFace, $table), fn (string $tag): bool => preg_match(self::TAG, $tag) === 1)));
    }

    /** The name of a stylistic set or a character variant, where the font tells one (OpenType 1.9, "ss01 - ss20"). */
    public static function name(CData $hbFace, string $tag): ?string
    {
        foreach (array_keys(self::of($hbFace, 'GSUB'), $tag, true) as $index) {
            $label = FreeType::pointer(FreeType::harfbuzz(), 'unsigned int[1]');
            $has = FreeType::hb('hb_ot_layout_feature_get_name_ids', $hbFace, self::tag('GSUB'), $index, $label, null, null, null, null);
            if ($has !== 0 && $label[0] !== self::NO_NAME) {
                return FontNames::of($hbFace, (int) $label[0]);
            }
        }

        return null;
    }

    private static function tag(string $tag): int
    {
        return (int) hexdec(bin2hex($tag));
    }
}
