<?php

declare(strict_types=1);

namespace App\Bench;

use Illuminate\Support\Facades\DB;

/** Reads and writes as one. The connection takes the write lock at its start and waits for it: see App\Database\WriteLockedSqlite. */
final class Saving
{
    /** Another engine than SQLite may break a tie between two transactions by ending one of them. */
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
