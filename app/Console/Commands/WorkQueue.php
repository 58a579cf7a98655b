<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** The queue worker, which first puts back what a worker that died had begun. */
final class WorkQueue extends Command
{
    protected $signature = 'crow:work';

    protected $description = 'Work on exports, first those that a worker left unfinished';

    public function handle(): int
    {
        // Whoever holds the lock is the only worker, so whatever is reserved was reserved by one that is gone.
        $lock = fopen(storage_path('framework/worker.lock'), 'c');
        if ($lock !== false && flock($lock, LOCK_EX | LOCK_NB)) {
            DB::table('jobs')->whereNotNull('reserved_at')->update(['reserved_at' => null]);
        }

        return $this->call('queue:work', ['--sleep' => '0.3', '--tries' => 5, '--timeout' => 600, '--max-jobs' => 500, '--quiet' => true]);
    }
}
