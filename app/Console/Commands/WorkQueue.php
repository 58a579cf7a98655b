<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/** The queue worker, which first puts back what a worker that died had begun. */
final class WorkQueue extends Command
{
    protected $signature = 'crow:work {--only-recover : Put unfinished exports back and end}';

    protected $description = 'Work on exports, first those that a worker left unfinished';

    public function handle(): int
    {
        // Whoever holds the lock is the only worker, so whatever is reserved was reserved by one that is gone.
        $storage = config('crow.storage');
        assert(is_string($storage));
        File::ensureDirectoryExists(dirname($storage), 0o700);
        $lock = fopen(dirname($storage).'/worker.lock', 'c');
        if ($lock !== false && flock($lock, LOCK_EX | LOCK_NB)) {
            DB::table('jobs')->whereNotNull('reserved_at')->update(['reserved_at' => null]);
        }

        if ($this->option('only-recover')) {
            return self::SUCCESS;
        }

        return $this->call('queue:work', ['--sleep' => '0.3', '--tries' => 5, '--timeout' => 600, '--max-jobs' => 500, '--quiet' => true]);
    }
}
