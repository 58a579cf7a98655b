<?php

declare(strict_types=1);

namespace TallCrow\Asset;

final class AssetUnusable extends \RuntimeException
{
    public static function missing(string $name): self
    {
        return new self(sprintf('The file "%s" is not there. Put it beside the artwork, or choose another.', $name));
    }

    public static function because(string $name, \Throwable $reason): self
    {
        return new self(sprintf('"%s": %s', $name, $reason->getMessage()), 0, $reason);
    }

    public static function tooLarge(string $name, int $most): self
    {
        return new self(sprintf('"%s" is larger than %d MB.', $name, intdiv($most, 1_000_000)));
    }

    public static function pack(string $reason): self
    {
        return new self(sprintf('This pack cannot be used: %s.', $reason));
    }

    public static function drawing(string $name): self
    {
        return new self(sprintf('"%s" is a drawing already. Trace a raster picture.', $name));
    }
}
