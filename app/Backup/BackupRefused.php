<?php

declare(strict_types=1);

namespace App\Backup;

final class BackupRefused extends \RuntimeException
{
    public static function unwritable(string $path): self
    {
        return new self(sprintf('"%s" cannot be written. May you write there, and is there room?', $path));
    }

    public static function noDatabase(string $path): self
    {
        return new self(sprintf('There is no database at "%s". Name the data folder: CROW_DATA=FOLDER.', $path));
    }

    public static function broken(string $what): self
    {
        return new self("This backup cannot be trusted: $what. Use another one.");
    }

    public static function notEmpty(string $database, string $storage): self
    {
        return new self(sprintf('A backup is laid out where nothing is yet; there is something at "%s" or "%s". Name an empty data folder: CROW_DATA=FOLDER.', $database, $storage));
    }
}
