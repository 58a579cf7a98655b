<?php

declare(strict_types=1);

namespace App\Bench;

use App\Jobs\ExportArtwork;
use App\Models\Export;
use App\Models\ExportState;
use Illuminate\Database\Eloquent\Builder;

/**
 * Who makes an export. A claim holds for as long as its maker shows signs of life, so an export whose worker died is made by the
 * next, and one that was queued twice is made once.
 */
final class ExportClaim
{
    /** Seconds without a sign of life after which a maker counts as gone. */
    private const SILENT = 4 * ExportSteps::BEAT;

    /** Seconds after which one that waits is queued again, should its place in the queue be lost. */
    private const FORGOTTEN = 60;

    /** Makes the export this worker's; false when another has it. */
    public static function claim(Export $export): bool
    {
        return self::free(Export::query()->whereKey($export->id))
            ->update(['state' => ExportState::Running, 'stage' => 'layers', 'progress' => 0, 'beat_at' => now()]) === 1;
    }

    /**
     * Whether an export has to wait for others of its shop. Files of one send are made side by side, as long as no other shop waits and no
     * further one of its own is under way.
     */
    public static function shopIsBusy(Export $export): bool
    {
        $running = Export::query()->where('shop_id', $export->shop_id)->whereKeyNot($export->id)->whereIn('state', [ExportState::Running, ExportState::Cancelling])->where('beat_at', '>=', self::lastLife())->pluck('batch')->all();
        if ($running === [] || $export->batch === '' || array_filter($running, fn (mixed $batch): bool => $batch !== $export->batch) !== []) {
            return $running !== [];
        }

        return Export::query()->withoutGlobalScopes()->whereNot('shop_id', $export->shop_id)->where('state', ExportState::Queued)->exists();
    }

    /** Whether no file of its send is to be made any more. */
    public static function isLastOf(Export $export): bool
    {
        return $export->batch !== '' && Export::query()->where('shop_id', $export->shop_id)->where('batch', $export->batch)->whereNotIn('state', [ExportState::Done, ExportState::Failed, ExportState::Cancelled])->doesntExist();
    }

    /** Queues again what no worker makes and what may have lost its place. */
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
