<?php

declare(strict_types=1);

namespace App\Bench;

use Illuminate\Support\Facades\DB;

/** Runs reads and writes in one transaction. The connection takes the write lock at its start and waits for it: see App\Database\WriteLockedSqlite. */
final class Saving
{
    /** Database engines other than SQLite may resolve a deadlock by aborting one of the transactions. */
    private const TRIES = 5;

    /**
     * @template T
     *
     * @param  \Closure(): T  $work  done anew when it is begun again, so it changes nothing but the database
     * @return T
     */
    public static function once(\Closure $work): mixed
    {
        return DB::transaction($work, self::TRIES);
    }
}
