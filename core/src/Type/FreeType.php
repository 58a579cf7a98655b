<?php

declare(strict_types=1);

namespace TallCrow\Type;

use FFI;
use FFI\CData;

/**
 * FreeType and HarfBuzz through FFI. FreeType opens the file (also WOFF and WOFF2) and returns outlines; HarfBuzz
 * shapes by the tables that FreeType unpacked.
 *
 * @internal
 */
final class FreeType
{
    public const NO_SCALE_NO_HINTING = 0x3;

    private const FREETYPE = <<<'C'
        typedef struct { long x, y; } Vector;
        typedef struct { void *data; void *finalizer; } Generic;
        typedef struct {
            short n_contours, n_points;
            Vector *points;
            char *tags;
            short *contours;
            int flags;
        } Outline;
        typedef struct {
            void *library;
            void *face;
            void *next;
            unsigned int glyph_index;
            Generic generic;
            long metrics[8];
            long linear_hori_advance, linear_vert_advance;
            Vector advance;
            int format;
            struct { unsigned int rows, width; int pitch; void *buffer; unsigned short num_grays; unsigned char pixel_mode, palette_mode; void *palette; } bitmap;
            int bitmap_left, bitmap_top;
            Outline outline;
        } Slot;
        typedef struct {
            long num_faces, face_index, face_flags, style_flags, num_glyphs;
            char *family_name;
            char *style_name;
            int num_fixed_sizes;
            void *available_sizes;
            int num_charmaps;
            void *charmaps;
            Generic generic;
            long bbox[4];
            unsigned short units_per_em;
            short ascender, descender, height, max_advance_width, max_advance_height, underline_position, underline_thickness;
            Slot *glyph;
        } Face;
        int FT_Init_FreeType(void **library);
        int FT_Done_FreeType(void *library);
        int FT_New_Memory_Face(void *library, const char *bytes, long size, long index, Face **face);
        int FT_Done_Face(Face *face);
        int FT_Load_Glyph(Face *face, unsigned int glyph, int flags);
        unsigned int FT_Get_Char_Index(Face *face, unsigned long character);
        int FT_Set_Var_Design_Coordinates(Face *face, unsigned int count, long *coordinates);
        C;

    private const HARFBUZZ = <<<'C'
        typedef struct { unsigned int codepoint, mask, cluster, var1, var2; } Info;
        typedef struct { int x_advance, y_advance, x_offset, y_offset; unsigned int var; } Position;
        typedef struct { unsigned int tag, value, start, end; } Feature;
        void *hb_ft_face_create_referenced(void *face);
        void *hb_font_create(void *face);
        void hb_ot_font_set_funcs(void *font);
        void hb_font_set_scale(void *font, int x, int y);
        void hb_font_destroy(void *font);
        void hb_face_destroy(void *face);
        void *hb_buffer_create(void);
        void hb_buffer_destroy(void *buffer);
        void hb_buffer_add_utf8(void *buffer, const char *text, int length, unsigned int offset, int count);
        void hb_buffer_set_direction(void *buffer, int direction);
        void *hb_unicode_funcs_get_default(void);
        unsigned int hb_unicode_script(void *functions, unsigned int character);
        void hb_buffer_guess_segment_properties(void *buffer);
        void hb_shape(void *font, void *buffer, const Feature *features, unsigned int count);
        Info *hb_buffer_get_glyph_infos(void *buffer, unsigned int *length);
        Position *hb_buffer_get_glyph_positions(void *buffer, unsigned int *length);
        unsigned int hb_ot_layout_table_get_feature_tags(void *face, unsigned int table, unsigned int start, unsigned int *count, unsigned int *tags);
        typedef struct { unsigned int index, tag, name, flags; float min, usual, max; unsigned int reserved; } Axis;
        typedef struct { unsigned int tag; float value; } Variation;
        void hb_font_set_variations(void *font, const Variation *variations, unsigned int count);
        void *hb_language_from_string(const char *text, int length);
        unsigned int hb_ot_name_get_utf8(void *face, unsigned int name, void *language, unsigned int *size, char *text);
        int hb_ot_color_has_layers(void *face);
        int hb_ot_color_has_svg(void *face);
        int hb_ot_color_has_png(void *face);
        float hb_style_get_value(void *font, unsigned int tag);
        unsigned int hb_ot_var_get_axis_infos(void *face, unsigned int start, unsigned int *count, Axis *axes);
        void *hb_set_create(void);
        void hb_set_destroy(void *set);
        void hb_face_collect_unicodes(void *face, void *set);
        void hb_set_del_range(void *set, unsigned int first, unsigned int last);
        int hb_set_next(void *set, unsigned int *next);
        int hb_ot_layout_feature_get_name_ids(void *face, unsigned int table, unsigned int feature, unsigned int *label, unsigned int *tooltip, unsigned int *sample, unsigned int *parameters, unsigned int *first);
        int hb_feature_from_string(const char *text, int length, Feature *feature);
        C;

    private static ?FFI $freetype = null;

    private static ?FFI $harfbuzz = null;

    public static function freetype(): FFI
    {
        return self::$freetype ??= self::load(self::FREETYPE, 'libfreetype.so.6', 'libfreetype6');
    }

    public static function harfbuzz(): FFI
    {
        return self::$harfbuzz ??= self::load(self::HARFBUZZ, 'libharfbuzz.so.0', 'libharfbuzz0b');
    }

    public static function ft(string $function, mixed ...$arguments): mixed
    {
        return self::freetype()->{$function}(...$arguments);
    }

    public static function hb(string $function, mixed ...$arguments): mixed
    {
        return self::harfbuzz()->{$function}(...$arguments);
    }

    public static function pointer(FFI $library, string $type): CData
    {
        $pointer = $library->new($type);
        assert($pointer instanceof CData);

        return $pointer;
    }

    /** @throws FontRefused */
    public static function load(string $declarations, string $file, string $package): FFI
    {
        try {
            return FFI::cdef($declarations, $file);
        } catch (FFI\Exception $missing) {
            throw FontRefused::library($package, $missing);
        }
    }
}
