<?php

declare(strict_types=1);

namespace TallCrow\Raster;

final class RasterFailed extends \RuntimeException
{
    public static function library(string $package, \Throwable $cause): self
    {
        return new self("Pictures cannot be drawn. Install Debian's $package and switch PHP's FFI on (ffi.enable=true).", 0, $cause);
    }

    public static function during(string $operation, string $complaint): self
    {
        return new self(sprintf('The picture could not be worked (%s): %s', $operation, $complaint === '' ? 'no reason given' : $complaint));
    }
}
