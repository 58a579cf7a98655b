<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use FFI\CData;

/**
 * An array or a block of bytes as an argument for libvips.
 *
 * @internal
 */
final readonly class Boxed
{
    /** @param  \Closure(): CData  $maker */
    private function __construct(private \Closure $maker) {}

    /** @param  list<Image>  $images */
    public static function images(array $images): self
    {
        return new self(function () use ($images): CData {
            $array = self::array('VipsImage *', count($images));
            foreach ($images as $i => $image) {
                $array[$i] = $image->handle();
            }

            return self::made('vips_array_image_new', $array, count($images));
        });
    }

    /** @param  list<float>  $numbers */
    public static function doubles(array $numbers): self
    {
        return new self(function () use ($numbers): CData {
            $array = self::array('double', count($numbers));
            foreach ($numbers as $i => $number) {
                $array[$i] = $number;
            }

            return self::made('vips_array_double_new', $array, count($numbers));
        });
    }

    /** @param  list<int>  $numbers */
    public static function integers(array $numbers): self
    {
        return new self(function () use ($numbers): CData {
            $array = self::array('int', count($numbers));
            foreach ($numbers as $i => $number) {
                $array[$i] = $number;
            }

            return self::made('vips_array_int_new', $array, count($numbers));
        });
    }

    public static function bytes(string $bytes): self
    {
        return new self(fn (): CData => self::made('vips_blob_copy', $bytes, strlen($bytes)));
    }

    public function make(): CData
    {
        return ($this->maker)();
    }

    private static function array(string $type, int $count): CData
    {
        $array = Vips::library()->new($type.'['.max(1, $count).']');
        assert($array instanceof CData);

        return $array;
    }

    private static function made(string $function, CData|string $data, int $count): CData
    {
        $made = Vips::run($function, $data, $count);
        assert($made instanceof CData);

        return $made;
    }
}
