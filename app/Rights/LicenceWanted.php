<?php

declare(strict_types=1);

namespace App\Rights;

/** A file was uploaded without a licence. */
final class LicenceWanted extends \DomainException
{
    public static function forAFile(): self
    {
        return new self('Name the licence under which you hold this file.');
    }

    /** @param  list<string>  $texts  that lie in the pack */
    public static function forAPack(array $texts): self
    {
        return new self($texts === []
            ? 'Name the licence under which you hold this pack: no text of a licence lies in it.'
            : sprintf('Name the licence under which you hold this pack. %s lies in it, and is no licence that is known here.', implode(', ', $texts)));
    }
}
