<?php

declare(strict_types=1);

namespace App\Shelf;

/** A shelf file, or a part of one, that cannot be imported. */
final class ShelfFileRefused extends \DomainException
{
    public static function noZip(): self
    {
        return new self('This is no zip, or it is broken. Choose the file that was saved at the shelf.');
    }

    public static function noShelf(): self
    {
        return new self(sprintf('This zip holds no shelf.json of the form %s. Choose the file that was saved at the shelf.', ShelfFile::FORMAT));
    }

    public static function tooLarge(): self
    {
        return new self('Unpacked this shelf would be far too large. Take it in by parts.');
    }

    public static function missing(string $name): self
    {
        return new self("\"$name\" is named in the list and not in the zip, or is too large.");
    }

    public static function changed(string $name): self
    {
        return new self("\"$name\" is not what its hash says: it was changed since it was kept.");
    }
}
