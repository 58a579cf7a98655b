<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\SQLiteConnection;

/**
 * An SQLite connection whose transactions acquire the write lock at their start and wait for it. A transaction that first reads and
 * then writes would fail at once if another process wrote meanwhile, whatever the busy timeout
 * (https://www.sqlite.org/rescode.html#busy_snapshot). Before PHP 8.4, PDO can only begin a transaction without the lock; a first
 * statement that writes to no row acquires it.
 */
final class WriteLockedSqlite extends SQLiteConnection
{
    private const TAKE_LOCK = 'DELETE FROM migrations WHERE 0';

    protected function executeBeginTransactionStatement(): void
    {
        $this->getPdo()->beginTransaction();
        try {
            $this->getPdo()->exec(self::TAKE_LOCK);
        } catch (\PDOException $error) {
            // Before the first migration the table does not exist, and no other process runs.
            if (! str_contains($error->getMessage(), 'no such table')) {
                $this->getPdo()->rollBack();
                throw $error;
            }
        }
    }
}
