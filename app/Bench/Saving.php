<?php

declare(strict_types=1);

namespace App\Bench;

use Illuminate\Support\Facades\DB;

/**
 * Reads and writes as one. A transaction that has read cannot write once another process has written meanwhile: the
 * database says that it is locked, and no waiting helps. It is then begun again, with what stands there now. (Asking for the
 * write lock at the beginning would spare that; PDO of PHP 8.2 cannot begin so.)
 */
final class Saving
{
    private const TRIES = 8;

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
