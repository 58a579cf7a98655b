<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

final class GeometryFailed extends \RuntimeException
{
    public static function during(string $what): self
    {
        return new self("The outline could not be worked out ($what). Try it with a simpler outline.");
    }

    public static function library(\Throwable $missing): self
    {
        return new self('The geometry library is missing: install libgeos-c1v5.', previous: $missing);
    }
}
