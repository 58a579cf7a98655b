<?php

declare(strict_types=1);

namespace TallCrow\Raster;

use FFI;
use FFI\CData;

/** An image's samples as bytes. */
trait Samples
{
    /** The raw samples, row by row, bands interleaved. */
    public function toBytes(): string
    {
        return $this->inMemory(fn (CData $memory, int $size): string => FFI::string($memory, $size));
    }

    /** The raw samples of an 8-bit image with a zero before each row, as PNG has rows without a filter. */
    public function toRows(): string
    {
        return $this->inMemory(function (CData $memory, int $size): string {
            $row = max(0, intdiv($size, $this->height()));
            $library = Vips::library();
            $rows = $library->new('char['.($size + $this->height()).']') ?? throw RasterFailed::during('read', 'no memory');
            $bytes = $library->cast('char *', $memory) ?? throw RasterFailed::during('read', 'no memory');
            for ($i = 0; $i < $this->height(); $i++) {
                FFI::memcpy(FFI::addr($rows[$i * ($row + 1) + 1]), FFI::addr($bytes[$i * $row]), $row);
            }

            return FFI::string($rows, max(0, $size + $this->height()));
        });
    }

    /** @param  \Closure(CData, int<0, max>): string  $read  of so many bytes */
    private function inMemory(\Closure $read): string
    {
        $size = Vips::library()->new('size_t');
        assert($size instanceof CData);
        $memory = Vips::run('vips_image_write_to_memory', $this->handle, FFI::addr($size));
        if (! $memory instanceof CData) {
            throw RasterFailed::during('read', Vips::complaint());
        }
        try {
            return $read($memory, max(0, $size->cdata));
        } finally {
            Vips::run('g_free', $memory);
        }
    }
}
