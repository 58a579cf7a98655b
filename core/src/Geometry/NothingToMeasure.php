<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

final class NothingToMeasure extends \LogicException
{
    public static function path(): self
    {
        return new self('An empty outline has no size.');
    }
}
