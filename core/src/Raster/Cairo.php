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

    public const A8 = 2;

    /** cairo_path_data_type_t. */
    public const MOVE = 0;

    public const LINE = 1;

    public const CLOSE = 3;

    private const DECLARATIONS = <<<'C'
        typedef struct { int status; void *data; int count; } FlatPath;
        void *cairo_image_surface_create(int format, int width, int height);
        int cairo_surface_status(void *surface);
        void cairo_surface_flush(void *surface);
        void cairo_surface_mark_dirty(void *surface);
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
        void *cairo_copy_path(void *context);
        FlatPath *cairo_copy_path_flat(void *context);
        void cairo_append_path(void *context, const void *path);
        void cairo_path_destroy(void *path);
        void cairo_clip(void *context);
        void cairo_set_source_rgb(void *context, double red, double green, double blue);
        void *cairo_pattern_create_linear(double x1, double y1, double x2, double y2);
        void cairo_pattern_add_color_stop_rgb(void *pattern, double offset, double red, double green, double blue);
        void cairo_set_source(void *context, void *pattern);
        void cairo_pattern_destroy(void *pattern);
        void cairo_fill(void *context);
        void cairo_mask_surface(void *context, void *surface, double x, double y);
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

    /** The raw library, for loops over many points, where a call by name costs as much as the drawing. */
    public static function library(): FFI
    {
        try {
            return self::$library ??= FFI::cdef(self::DECLARATIONS, 'libcairo.so.2');
        } catch (FFI\Exception $missing) {
            throw RasterFailed::library('libcairo2', $missing);
        }
    }

    /**
     * The current path flattened to line segments within the tolerance: x and y of each corner in turn, contour by contour. Contours of fewer than two corners
     * are left out.
     *
     * @return list<list<float>>
     */
    public static function flattened(CData $context): array
    {
        $path = self::made('copy_path_flat', $context);
        // An element is a header (its kind and its length) followed by two numbers for each point.
        $bytes = FFI::string($path->data, max(0, 16 * (int) $path->count));
        self::call('path_destroy', $path);
        [$kinds, $numbers] = [unpack('q*', $bytes) ?: [], unpack('d*', $bytes) ?: []];
        $contours = $points = [];
        for ($i = 1, $n = count($kinds); $i <= $n; $i += $kind === self::CLOSE ? 2 : 4) {
            $kind = $kinds[$i] & 0xFFFFFFFF;
            if ($kind === self::CLOSE) {
                continue;
            }
            [$x, $y] = [$numbers[$i + 2], $numbers[$i + 3]];
            if ($kind === self::MOVE) {
                count($points) < 4 || $contours[] = $points;
                $points = [$x, $y];
            } elseif ($x !== $points[count($points) - 2] || $y !== $points[count($points) - 1]) {
                [$points[], $points[]] = [$x, $y];
            }
        }
        count($points) < 4 || $contours[] = $points;

        return $contours;
    }

    /** Fills a surface with bytes: rows including their padding. */
    public static function put(CData $surface, string $bytes): void
    {
        self::call('surface_flush', $surface);
        FFI::memcpy(self::made('image_surface_get_data', $surface), $bytes, strlen($bytes));
        self::call('surface_mark_dirty', $surface);
    }

    /** The header of a path element: its kind and its length in pairs of words, packed into the bits of one double. */
    public static function head(int $kind, int $pairs): float
    {
        $number = (unpack('d', pack('q', $kind | $pairs << 32)) ?: [])[1] ?? null;
        assert(is_float($number));

        return $number;
    }

    /** @param  list<float>  $numbers  path elements, each a header followed by coordinates */
    public static function append(CData $context, array $numbers): void
    {
        if ($numbers === []) {
            return;
        }
        $bytes = pack('d*', ...$numbers);
        $data = self::library()->new('char['.strlen($bytes).']');
        $path = self::library()->new('FlatPath');
        assert($data !== null && $path !== null);
        FFI::memcpy($data, $bytes, strlen($bytes));
        $path->data = FFI::addr($data[0]);
        $path->count = intdiv(strlen($bytes), 16);
        self::call('append_path', $context, FFI::addr($path));
    }
}
