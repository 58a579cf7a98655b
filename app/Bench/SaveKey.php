<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\PrintJob;
use Illuminate\Support\Facades\DB;

/**
 * An idempotency key for one save, the same in every retry: a save that arrived, but whose answer was lost, is
 * answered with its first result instead of being repeated or taken for a conflict with another tab.
 */
final class SaveKey
{
    private const TABLE = 'answered_saves';

    private const KEPT_HOURS = 24;

    private ?string $key = null;

    public function take(?string $key): void
    {
        $this->key = $key !== null && preg_match('/^[\w-]{8,64}$/', $key) === 1 ? $key : null;
    }

    public function isAnswered(PrintJob $job): bool
    {
        return $this->key !== null && DB::table(self::TABLE)->where(['print_job_id' => $job->id, 'key' => $this->key])->exists();
    }

    /** Must be called within the save's own transaction. */
    public function remember(PrintJob $job): void
    {
        if ($this->key !== null) {
            DB::table(self::TABLE)->insertOrIgnore(['print_job_id' => $job->id, 'key' => $this->key, 'created_at' => now()]);
        }
    }

    public static function forgetOld(): void
    {
        DB::table(self::TABLE)->where('created_at', '<', now()->subHours(self::KEPT_HOURS))->delete();
    }
}
