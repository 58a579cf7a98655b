<?php

declare(strict_types=1);

namespace App\Bench;

use App\Jobs\ExportArtwork;
use App\Models\Export;
use App\Models\ExportState;
use Illuminate\Database\Eloquent\Builder;

/**
 * A lock on an export, held by the worker that makes it. The lock expires without heartbeats, so an export whose worker died is made by the
 * next one, and one that was queued twice is made once.
 */
final class ExportClaim
{
    /** Seconds without a heartbeat after which a worker counts as dead. */
    private const SILENT = 4 * ExportSteps::BEAT;

    /** Seconds after which a waiting export is queued again, in case its queue entry was lost. */
    private const FORGOTTEN = 60;

    /** Acquires the lock for this worker; false if another worker holds it. */
    public static function claim(Export $export): bool
    {
        return self::free(Export::query()->whereKey($export->id))
            ->update(['state' => ExportState::Running, 'stage' => 'layers', 'progress' => 0, 'beat_at' => now()]) === 1;
    }

    /**
     * Whether an export has to wait for others of its shop. Files of one batch are made in parallel as long as no other shop is waiting and no
     * other batch of the same shop is running.
     */
    public static function shopIsBusy(Export $export): bool
    {
        $running = Export::query()->where('shop_id', $export->shop_id)->whereKeyNot($export->id)->whereIn('state', [ExportState::Running, ExportState::Cancelling])->where('beat_at', '>=', self::lastLife())->pluck('batch')->all();
        if ($running === [] || $export->batch === '' || array_filter($running, fn (mixed $batch): bool => $batch !== $export->batch) !== []) {
            return $running !== [];
        }

        return Export::query()->withoutGlobalScopes()->whereNot('shop_id', $export->shop_id)->where('state', ExportState::Queued)->exists();
    }

    /** Whether no file of its batch remains to be made. */
    public static function isLastOf(Export $export): bool
    {
        return $export->batch !== '' && Export::query()->where('shop_id', $export->shop_id)->where('batch', $export->batch)->whereNotIn('state', [ExportState::Done, ExportState::Failed, ExportState::Cancelled])->doesntExist();
    }

    /** Queues exports again that no worker is making and that may have lost their queue entry. */
    public static function findForgotten(): int
    {
        $found = self::free(Export::query())
            ->where(fn (Builder $query) => $query->whereNot('state', ExportState::Queued)->orWhere('updated_at', '<', now()->subSeconds(self::FORGOTTEN)))
            ->get();
        foreach ($found as $export) {
            $export->touch();
            ExportArtwork::dispatch($export->id);
        }

        return $found->count();
    }

    /**
     * @param  Builder<Export>  $query
     * @return Builder<Export>
     */
    private static function free(Builder $query): Builder
    {
        return $query->where(fn (Builder $free) => $free->where('state', ExportState::Queued)->orWhere(
            fn (Builder $left) => $left->whereIn('state', [ExportState::Running, ExportState::Cancelling])
                ->where(fn (Builder $silent) => $silent->whereNull('beat_at')->orWhere('beat_at', '<', self::lastLife())),
        ));
    }

    private static function lastLife(): \DateTimeInterface
    {
        return now()->subSeconds((int) self::SILENT);
    }
}
