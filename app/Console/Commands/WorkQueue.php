<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Jobs\PreviewAsset;
use App\Upkeep\Sweeper;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Queue;

/** A queue worker that first requeues jobs of workers that died, and cleans up between jobs. */
final class WorkQueue extends Command
{
    protected $signature = 'crow:work {--only-recover : Put unfinished exports back and end}';

    protected $description = 'Work on exports, first those that a worker left unfinished';

    public function handle(Sweeper $sweeper): int
    {
        $lock = config('queue.default') === 'database' ? $this->recover() : null;
        if ($this->option('only-recover')) {
            return self::SUCCESS;
        }
        Queue::looping(function () use ($sweeper): void {
            $sweeper->due();
        });
        $first = config('queue.connections.'.config()->string('queue.default').'.queue', 'default');
        $ended = $this->callSilently('queue:work', ['--queue' => (is_string($first) ? $first : 'default').','.PreviewAsset::QUEUE, '--sleep' => '0.3', '--tries' => 0, '--timeout' => 0, '--max-jobs' => 500]);
        is_resource($lock) && fclose($lock);

        return $ended;
    }

    /**
     * What is reserved while no worker holds the lock was reserved by one that is gone.
     *
     * @return resource|false
     */
    private function recover(): mixed
    {
        $storage = config('crow.storage');
        assert(is_string($storage));
        File::ensureDirectoryExists(dirname($storage), 0o700);
        $lock = fopen(dirname($storage).'/worker.lock', 'c');
        if ($lock !== false && flock($lock, LOCK_EX | LOCK_NB)) {
            DB::table('jobs')->whereNotNull('reserved_at')->update(['reserved_at' => null]);
        }

        return $lock;
    }
}
