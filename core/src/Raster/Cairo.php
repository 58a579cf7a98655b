<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use FFI;
use FFI\CData;

/**
 * The functions of cairo that Canvas draws with. Debian's libvips brings the library.
 *
 * @internal
 */
final class Cairo
{
    public const ARGB32 = 0;

    private const DECLARATIONS = <<<'C'
        void *cairo_image_surface_create(int format, int width, int height);
        int cairo_surface_status(void *surface);
        void cairo_surface_flush(void *surface);
        unsigned char *cairo_image_surface_get_data(void *surface);
        int cairo_image_surface_get_stride(void *surface);
        void cairo_surface_destroy(void *surface);
        void *cairo_create(void *surface);
        void cairo_destroy(void *context);
        void cairo_set_tolerance(void *context, double pixels);
        void cairo_set_operator(void *context, int operator);
        void cairo_save(void *context);
        void cairo_restore(void *context);
        void cairo_new_path(void *context);
        void cairo_move_to(void *context, double x, double y);
        void cairo_line_to(void *context, double x, double y);
        void cairo_curve_to(void *context, double x1, double y1, double x2, double y2, double x, double y);
        void cairo_close_path(void *context);
        void *cairo_copy_path_flat(void *context);
        void cairo_append_path(void *context, void *path);
        void cairo_path_destroy(void *path);
        void cairo_clip(void *context);
        void cairo_set_source_rgb(void *context, double red, double green, double blue);
        void *cairo_pattern_create_linear(double x1, double y1, double x2, double y2);
        void cairo_pattern_add_color_stop_rgb(void *pattern, double offset, double red, double green, double blue);
        void cairo_set_source(void *context, void *pattern);
        void cairo_pattern_destroy(void *pattern);
        void cairo_set_line_width(void *context, double width);
        void cairo_set_line_cap(void *context, int cap);
        void cairo_set_line_join(void *context, int join);
        void cairo_stroke(void *context);
        void cairo_fill(void *context);
        C;

    private static ?FFI $library = null;

    public static function call(string $function, mixed ...$arguments): mixed
    {
        return self::library()->{'cairo_'.$function}(...$arguments);
    }

    public static function made(string $function, mixed ...$arguments): CData
    {
        $made = self::call($function, ...$arguments);
        assert($made instanceof CData);

        return $made;
    }

    /** For loops over many points, where a call by name costs as much as the drawing. */
    public static function library(): FFI
    {
        try {
            return self::$library ??= FFI::cdef(self::DECLARATIONS, 'libcairo.so.2');
        } catch (FFI\Exception $missing) {
            throw RasterFailed::library('libcairo2', $missing);
        }
    }
}
