<?php

declare(strict_types=1);

namespace TallCrow\Listing;

/** A photo that a design cannot be laid on. */
final class PhotoRefused extends \DomainException
{
    public static function corners(): self
    {
        return new self('The four corners must go round the print area clockwise, from its upper left, and enclose some of the photo.');
    }
}
