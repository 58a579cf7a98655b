<?php

declare(strict_types=1);

namespace TallCrow\Type;

use FFI;
use FFI\CData;

/**
 * Reads the axes of an opened font, and sets it to a place on them.
 *
 * @internal
 */
final class FontAxes
{
    private const MOST = 64;

    /** HarfBuzz's HB_OT_VAR_AXIS_FLAG_HIDDEN: the font's maker does not want it to be offered. */
    private const HIDDEN = 1;

    /** OpenType 1.9, "Data types": four printable ASCII characters. */
    private const TAG = '/^[\x20-\x7E]{4}$/D';

    /** FreeType's coordinates are 16.16 fixed-point numbers. */
    private const FIXED = 65536;

    /** OpenType 1.9, registered design-variation axis tags. */
    private const NAMES = ['wght' => 'weight', 'wdth' => 'width', 'slnt' => 'slant', 'ital' => 'italic', 'opsz' => 'optical size'];

    /** @return list<Axis> in the order of the font, without those that are hidden or whose tags no file could name */
    public static function of(CData $hbFace): array
    {
        $axes = [];
        foreach (self::infos($hbFace) as $info) {
            $tag = pack('N', $info->tag);
            if (((int) $info->flags & self::HIDDEN) === 0 && preg_match(self::TAG, $tag) === 1) {
                $axes[] = new Axis($tag, self::NAMES[$tag] ?? mb_strtolower(FontNames::of($hbFace, (int) $info->name) ?? $tag), (float) $info->min, (float) $info->usual, (float) $info->max);
            }
        }

        return $axes;
    }

    /**
     * Sets both libraries to a place; what lies beyond the end of an axis counts as its end, and an axis without a value keeps its usual one.
     *
     * @param  array<string, float>  $at  by tag
     * @return int FreeType's error, 0 if there is none
     */
    public static function set(CData $face, CData $hbFace, CData $hbFont, array $at): int
    {
        $infos = self::infos($hbFace);
        $coordinates = FreeType::pointer(FreeType::freetype(), 'long['.count($infos).']');
        $variations = FreeType::pointer(FreeType::harfbuzz(), 'Variation['.count($infos).']');
        foreach ($infos as $i => $info) {
            $value = max((float) $info->min, min((float) $info->max, $at[pack('N', $info->tag)] ?? (float) $info->usual));
            $coordinates[$i] = (int) round($value * self::FIXED);
            $variations[$i]->tag = $info->tag;
            $variations[$i]->value = $value;
        }
        FreeType::hb('hb_font_set_variations', $hbFont, $variations, count($infos));
        $error = FreeType::ft('FT_Set_Var_Design_Coordinates', $face, count($infos), $coordinates);
        assert(is_int($error));

        return $error;
    }

    /** @return list<CData> */
    private static function infos(CData $hbFace): array
    {
        $count = FreeType::pointer(FreeType::harfbuzz(), 'unsigned int[1]');
        $axes = FreeType::pointer(FreeType::harfbuzz(), 'Axis['.self::MOST.']');
        $count[0] = self::MOST;
        FreeType::hb('hb_ot_var_get_axis_infos', $hbFace, 0, $count, $axes);
        $infos = [];
        for ($i = 0; $i < $count[0]; $i++) {
            // A copy, since an element only points into the array.
            $info = FreeType::pointer(FreeType::harfbuzz(), 'Axis');
            FFI::memcpy($info, $axes[$i], FFI::sizeof($info));
            $infos[] = $info;
        }

        return $infos;
    }
}
