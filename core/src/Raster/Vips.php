<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use FFI;
use FFI\CData;

/**
 * libvips through FFI. Only this namespace uses it; the rest of the core uses Image and its typed methods, since a wrong
 * number for one of the library's enums aborts the process.
 *
 * @internal
 */
final class Vips
{
    private const DECLARATIONS = <<<'C'
        typedef struct _VipsImage VipsImage;
        typedef struct _VipsArea VipsArea;
        int vips_init(const char *argv0);
        int vips_call(const char *operation, ...);
        const char *vips_error_buffer(void);
        void vips_error_clear(void);
        void vips_cache_set_max(int max);
        VipsImage *vips_image_new_from_file(const char *name, ...);
        VipsImage *vips_image_new_from_memory(const void *data, size_t size, int width, int height, int bands, int format);
        VipsImage *vips_image_new_from_memory_copy(const void *data, size_t size, int width, int height, int bands, int format);
        VipsImage *vips_image_new_matrix_from_array(int width, int height, const double *array, int size);
        VipsImage *vips_image_copy_memory(VipsImage *image);
        void *vips_image_write_to_memory(VipsImage *image, size_t *size);
        const void *vips_image_get_data(VipsImage *image);
        int vips_image_get_width(const VipsImage *image);
        int vips_image_get_height(const VipsImage *image);
        int vips_image_get_bands(const VipsImage *image);
        int vips_image_get_format(const VipsImage *image);
        int vips_image_get_interpretation(const VipsImage *image);
        size_t vips_image_get_typeof(const VipsImage *image, const char *name);
        int vips_image_get_int(const VipsImage *image, const char *name, int *out);
        void *vips_blob_copy(const void *data, size_t length);
        void *vips_array_image_new(VipsImage **array, int n);
        void *vips_array_double_new(const double *array, int n);
        void *vips_array_int_new(const int *array, int n);
        void *vips_interpolate_new(const char *nickname);
        const void *vips_blob_get(void *blob, size_t *length);
        void vips_area_unref(VipsArea *area);
        void g_object_unref(void *object);
        void g_free(void *memory);
        C;

    private static ?FFI $ffi = null;

    /**
     * The library stays loaded for the life of the process: it registers its types once and cannot unregister them,
     * so a web server's second request must not load it again.
     */
    public static function library(): FFI
    {
        if (self::$ffi === null) {
            $nodeleteNow = 0x1002;
            $loader = FFI::cdef('void *dlopen(const char *name, int flags);');
            self::invoke($loader, 'dlopen', 'libvips.so.42', $nodeleteNow);
            try {
                self::$ffi = FFI::cdef(self::DECLARATIONS, 'libvips.so.42');
            } catch (FFI\Exception $missing) {
                throw RasterFailed::library('libvips42', $missing);
            }
            // Warnings are also returned as errors; nobody reads its output on standard error.
            putenv('VIPS_WARNING=0');
            // Its plugin modules read formats that never get here; without a module folder it starts in half the time.
            putenv('VIPSHOME=/nonexistent');
            self::invoke(self::$ffi, 'vips_init', 'tall-crow');
            self::invoke(self::$ffi, 'vips_cache_set_max', 0);
        }

        return self::$ffi;
    }

    public static function run(string $function, mixed ...$arguments): mixed
    {
        return self::invoke(self::library(), $function, ...$arguments);
    }

    /**
     * Runs an operation that makes one image.
     *
     * @param  list<mixed>  $before  required arguments before the output, in the library's order
     * @param  list<mixed>  $after  required arguments after the output
     * @param  array<string, mixed>  $options
     *
     * @throws RasterFailed
     */
    public static function image(string $operation, array $before, array $after = [], array $options = []): CData
    {
        $out = self::library()->new('VipsImage *');
        assert($out instanceof CData);
        self::operate($operation, [...$before, FFI::addr($out), ...$after], $options);

        return $out;
    }

    /**
     * @param  list<mixed>  $required
     * @param  array<string, mixed>  $options
     *
     * @throws RasterFailed
     */
    public static function operate(string $operation, array $required, array $options = []): void
    {
        $areas = [];
        $prepare = function (mixed $value) use (&$areas): mixed {
            if ($value instanceof Image) {
                return $value->handle();
            }
            if ($value instanceof \BackedEnum) {
                return $value->value;
            }
            if (is_bool($value)) {
                return (int) $value;
            }
            if ($value instanceof Boxed) {
                return $areas[] = $value->make();
            }

            return $value;
        };
        $words = array_map($prepare, $required);
        foreach ($options as $name => $value) {
            $words[] = $name;
            $words[] = $prepare($value);
        }
        $words[] = null;
        $failed = self::run('vips_call', $operation, ...$words);
        foreach ($areas as $area) {
            self::run('vips_area_unref', self::library()->cast('VipsArea *', $area));
        }
        if ($failed !== 0) {
            throw RasterFailed::during($operation, self::complaint());
        }
    }

    /** @param  non-empty-list<non-empty-list<float>>  $rows  a small matrix as an image */
    public static function matrix(array $rows): CData
    {
        $numbers = array_merge(...$rows);
        $array = self::library()->new('double['.count($numbers).']');
        assert($array instanceof CData);
        foreach ($numbers as $i => $number) {
            $array[$i] = $number;
        }
        $made = self::run('vips_image_new_matrix_from_array', count($rows[0]), count($rows), $array, count($numbers));
        assert($made instanceof CData);

        return $made;
    }

    public static function complaint(): string
    {
        $text = self::run('vips_error_buffer');
        assert(is_string($text));
        self::run('vips_error_clear');

        return trim($text);
    }

    private static function invoke(FFI $library, string $function, mixed ...$arguments): mixed
    {
        return $library->{$function}(...$arguments);
    }
}
