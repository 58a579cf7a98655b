<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\SQLiteConnection;

/**
 * SQLite whose transactions take the write lock at their beginning, and wait for it. A transaction that begins by reading and
 * then writes is refused at once when another process wrote meanwhile, however long the connection would wait
 * (https://www.sqlite.org/rescode.html#busy_snapshot). Below PHP 8.4 PDO can only begin without the lock: a first statement that
 * writes, if to no row, takes it.
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
            // Before the very first migration there is no such table, and nobody else either.
            if (! str_contains($error->getMessage(), 'no such table')) {
                $this->getPdo()->rollBack();
                throw $error;
            }
        }
    }
}
