<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Layer;

/** A sheet that is not all outlines in flat colours. */
final class NotFlat extends \DomainException
{
    public static function layer(Layer $layer, string $why): self
    {
        return new self(sprintf('%s %s, so this sheet is not all outlines. Take that line out, or switch the piece off, for a file of outlines.', $layer->called(), $why));
    }

    public static function sheet(): self
    {
        return new self('The sheet is worn as a whole, so it is not all outlines. Switch its wear off for a file of outlines.');
    }

    public static function blank(): self
    {
        return new self('There is nothing on this sheet to cut.');
    }
}
