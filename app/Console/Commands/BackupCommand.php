<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Archive;
use App\Backup\Backup;
use App\Backup\BackupRefused;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Backs up the running installation, verifies an archive, or restores one. */
final class BackupCommand extends Command
{
    protected $signature = 'crow:backup {target : Folder for the archive or, with --check and --restore, the archive} {--check : Only open and compare it} {--restore : Lay it out in an empty data folder}';

    protected $description = 'Back up database and files, or restore them';

    public function handle(): int
    {
        $target = (string) $this->argument('target');
        $storage = config('crow.storage');
        $database = DB::connection()->getDatabaseName();
        assert(is_string($storage));
        if (DB::getDriverName() !== 'sqlite') {
            $this->error('This backs up SQLite. For PostgreSQL use pg_dump and the store\'s own copies: docs/growing.md.');

            return self::FAILURE;
        }
        DB::disconnect();
        try {
            $said = match (true) {
                $this->option('check') === true => (function () use ($target): string {
                    Archive::check($target);

                    return "$target is whole.";
                })(),
                $this->option('restore') === true => sprintf('%d files and the database are laid out.', Archive::restore($target, $database, $storage)),
                default => Backup::make($database, $storage, $target),
            };
        } catch (BackupRefused $refused) {
            $this->error($refused->getMessage());

            return self::FAILURE;
        }
        $this->line($said);

        return self::SUCCESS;
    }
}
