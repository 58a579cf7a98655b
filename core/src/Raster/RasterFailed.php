<?php

declare(strict_types=1);

namespace TallCrow\Raster;

final class RasterFailed extends \RuntimeException
{
    public static function library(\Throwable $cause): self
    {
        return new self('The imaging library libvips could not be loaded. Install Debian\'s libvips42 and switch PHP\'s FFI on (ffi.enable=true).', 0, $cause);
    }

    public static function during(string $operation, string $complaint): self
    {
        return new self(sprintf('The picture could not be worked (%s): %s', $operation, $complaint === '' ? 'no reason given' : $complaint));
    }
}
