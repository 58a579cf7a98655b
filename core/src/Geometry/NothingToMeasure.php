<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

final class NothingToMeasure extends \LogicException
{
    public static function path(): self
    {
        return new self('An empty outline has no size.');
    }

    public static function flattened(): self
    {
        return new self('A map that flattens the plane to a line has no way back.');
    }

    public static function close(): self
    {
        return new self('A closing segment has no end of its own.');
    }
}
