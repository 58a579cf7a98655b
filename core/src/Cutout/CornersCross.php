<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

final class CornersCross extends \DomainException
{
    public static function make(): self
    {
        return new self('The corners to straighten by cross, or lie on one line. Put them around the picture in turn: top left, top right, bottom right, bottom left.');
    }
}
