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

    /** The raw samples of an 8-bit image with a 0 byte before each row: PNG scanlines with filter type "none". */
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

    /**
     * A copy in memory, with rectangles copied from another 8-bit picture of as many bands. For hundreds of rectangles this is ten times quicker than an
     * operation of the library for each.
     *
     * @param  list<array{int, int, int, int, int, int}>  $places  left and top in this picture, left and top in the other, width and height; within both pictures
     *
     * @throws RasterFailed
     */
    public function withCopied(self $other, array $places): self
    {
        $fits = fn (self $picture, int $left, int $top, int $width, int $height): bool => min($left, $top, $width, $height) >= 0 && $left + $width <= $picture->width() && $top + $height <= $picture->height();
        foreach ($places as [$left, $top, $fromLeft, $fromTop, $width, $height]) {
            if (! $fits($this, $left, $top, $width, $height) || ! $fits($other, $fromLeft, $fromTop, $width, $height)) {
                throw RasterFailed::during('copy', "what is $width × $height at $left, $top and $fromLeft, $fromTop lies beyond a picture");
            }
        }
        if (! $this->isByte() || ! $other->isByte() || $this->bands() !== $other->bands()) {
            throw RasterFailed::during('copy', 'the pictures are not of 8 bits and as many bands');
        }
        // settled() does not copy a picture that is in memory already, and this would write into it.
        $whole = $this->operation('copy')->settled();
        [$to, $from] = [$whole->data(), $other->settled()->data()];
        [$wide, $narrow, $bands] = [$this->width() * $this->bands(), $other->width() * $this->bands(), $this->bands()];
        foreach ($places as [$left, $top, $fromLeft, $fromTop, $width, $height]) {
            [$at, $fromAt] = [$top * $wide + $left * $bands, $fromTop * $narrow + $fromLeft * $bands];
            for ($row = 0; $row < $height; $row++, $at += $wide, $fromAt += $narrow) {
                FFI::memcpy(FFI::addr($to[$at]), FFI::addr($from[$fromAt]), max(0, $width * $bands));
            }
        }

        return $whole;
    }

    private function data(): CData
    {
        $data = Vips::run('vips_image_get_data', $this->handle);
        assert($data instanceof CData);

        return Vips::library()->cast('char *', $data) ?? throw RasterFailed::during('read', 'no memory');
    }

    /** @param  \Closure(CData, int<0, max>): string  $read  reads so many bytes */
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
