<?php

declare(strict_types=1);

namespace App\Sending;

use App\Jobs\CarryParcel;
use App\Models\Export;
use App\Models\ExportState;
use App\Models\HouseRecord;
use App\Models\Parcel;
use App\Models\ParcelState;
use App\Models\PrintJob;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Sends finished files to the houses they were made for, each once. */
final class Parcels
{
    /** Seconds before each retry (exponential backoff, common practice). After all of them the seller is asked to act. */
    public const WAITS = [2, 5, 15, 60, 300, 900, 3600];

    /** Seconds between status requests; the last value is repeated. */
    public const QUESTIONS = [5, 10, 30, 60, 300, 900, 3600];

    /** Greatest number of status requests: about a fortnight. */
    public const MOST_QUESTIONS = 340;

    /** Seconds without a heartbeat after which a worker counts as dead; sending a file takes two minutes at most. */
    private const SILENT = 180;

    /** Seconds after its due time at which a waiting parcel is queued again. */
    private const FORGOTTEN = 30;

    /**
     * @return list<Parcel> of all finished files of a send whose houses take files from here
     *
     * @throws ValidationException when there is none
     */
    public static function begin(PrintJob $job, string $batch): array
    {
        $houses = HouseRecord::query()->where('shop_id', $job->shop_id)->whereNot('service', '')->pluck('id')->all();
        $exports = $job->exports()->where('batch', $batch)->where('state', ExportState::Done)->get()->filter(fn (Export $export): bool => in_array($export->destination['house'] ?? 0, $houses, true));
        if ($exports->isEmpty()) {
            throw ValidationException::withMessages(['batch' => 'No file of this send is finished whose house takes files from here. Choose a service for its house under Houses.']);
        }

        return array_values($exports->map(self::of(...))->all());
    }

    /** The parcel of an export: a failed one is restarted under its own key; otherwise the existing one is returned unchanged. */
    private static function of(Export $export): Parcel
    {
        [$parcel, $begun] = DB::transaction(function () use ($export): array {
            $parcel = Parcel::query()->firstOrCreate(['export_id' => $export->id], ['shop_id' => $export->shop_id, 'house_id' => $export->destination['house'] ?? null, 'key' => (string) Str::uuid(), 'state' => ParcelState::Waiting, 'due_at' => now()]);
            $again = $parcel->state === ParcelState::Failed;
            if ($again) {
                $parcel->update(['state' => $parcel->number === '' ? ParcelState::Waiting : ParcelState::Accepted, 'tries' => 0, 'trouble' => '', 'due_at' => now()]);
            }

            return [$parcel, $again || $parcel->wasRecentlyCreated];
        });
        if ($begun) {
            CarryParcel::dispatch($parcel->id);
        }

        return $parcel->refresh();
    }

    /** Acquires the lock of a parcel for this worker; false if another worker holds it or it is not due yet. */
    public static function claim(Parcel $parcel): bool
    {
        return self::free(Parcel::query()->whereKey($parcel->id))->update(['state' => ParcelState::Sending, 'updated_at' => now()]) === 1;
    }

    /** Queues parcels again that lost their queue entry or their worker. */
    public static function findForgotten(): int
    {
        $late = now()->subSeconds(self::FORGOTTEN);
        $found = Parcel::query()->where(fn (Builder $any) => $any
            ->where(fn (Builder $due) => $due->whereIn('state', [ParcelState::Waiting, ParcelState::Accepted])->where('due_at', '<', $late)->where('updated_at', '<', $late))
            ->orWhere(fn (Builder $lost) => $lost->where('state', ParcelState::Sending)->where('updated_at', '<', now()->subSeconds(self::SILENT))))->get();
        foreach ($found as $parcel) {
            $parcel->update(['state' => $parcel->number === '' ? ParcelState::Waiting : ParcelState::Accepted, 'due_at' => now()]);
            $parcel->touch();
            CarryParcel::dispatch($parcel->id);
        }

        return $found->count();
    }

    /**
     * @param  Builder<Parcel>  $query
     * @return Builder<Parcel>
     */
    private static function free(Builder $query): Builder
    {
        return $query->where(fn (Builder $free) => $free
            ->where(fn (Builder $due) => $due->whereIn('state', [ParcelState::Waiting, ParcelState::Accepted])->where(fn (Builder $now) => $now->whereNull('due_at')->orWhere('due_at', '<=', now())))
            ->orWhere(fn (Builder $lost) => $lost->where('state', ParcelState::Sending)->where('updated_at', '<', now()->subSeconds(self::SILENT))));
    }
}
