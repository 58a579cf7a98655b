<?php

declare(strict_types=1);

namespace App\Files;

/** A shop's file could not be copied to or from the file store. */
final class FileNotKept extends \RuntimeException
{
    public static function store(string $name): self
    {
        return new self("The store of files did not take $name. Try again; if it fails again, look whether the store answers.");
    }

    public static function silent(string $name): self
    {
        return new self("The store of files does not answer; asked for $name. Try again; if it fails again, look whether the store answers.");
    }

    public static function here(string $name): self
    {
        return new self("The copy of $name on this machine could not be read or written: look whether the disk has room.");
    }
}
