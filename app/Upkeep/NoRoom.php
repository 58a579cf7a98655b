<?php

declare(strict_types=1);

namespace App\Upkeep;

/** The disk is full except for the reserve kept for saves. */
final class NoRoom extends \RuntimeException
{
    public static function on(string $folder): self
    {
        return new self(sprintf('The disk that holds the shop\'s %s is full. Sheets are still saved; uploads and exports wait until there is room. Ask whoever looks after the machine to clear old exports or make the disk larger.', basename($folder)));
    }
}
