<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Files\ShopFiles;
use App\Models\HouseRecord;
use App\Models\Parcel;
use App\Models\ParcelState;
use App\Sending\Destination;
use App\Sending\FileLog;
use App\Sending\Houses\HouseAnswer;
use App\Sending\Houses\HouseAway;
use App\Sending\Houses\HouseDeclined;
use App\Sending\Houses\HouseVerdict;
use App\Sending\Houses\Package;
use App\Sending\Houses\Services;
use App\Sending\Parcels;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Log;
use TallCrow\House\Fitting;

/**
 * Sends a parcel to its house and later asks whether it was printed. It may be queued twice or restarted after its worker died: the
 * parcel's key is sent each time, so that the house prints it only once.
 */
final class CarryParcel implements ShouldQueue
{
    use Queueable;

    public int $tries = 0;

    public int $maxExceptions = 3;

    public int $timeout = 0;

    public function __construct(private readonly int $parcel) {}

    public function handle(): void
    {
        $parcel = Parcel::query()->with(['export.shop', 'export.job', 'house'])->find($this->parcel);
        if ($parcel === null || ! $parcel->state->isUnderWay() || ! Parcels::claim($parcel)) {
            return;
        }
        $parcel->refresh();
        $asks = $parcel->number !== '';
        try {
            $house = Services::of($parcel->house ?? throw new HouseDeclined('This house is not noted any more.'));
            $this->told($parcel, $asks ? $house->ask($parcel->number) : $house->bring($this->package($parcel, $parcel->house)));
        } catch (HouseAway $away) {
            $this->later($parcel, $asks ? ParcelState::Accepted : ParcelState::Waiting, $away->getMessage(), $away->after, $asks ? Parcels::MOST_QUESTIONS : count(Parcels::WAITS));
        } catch (HouseDeclined $declined) {
            $this->end($parcel, $declined->getMessage());
        }
    }

    /** Called after an unexpected error. */
    public function failed(?\Throwable $reason): void
    {
        Log::error('A parcel broke off.', ['parcel' => $this->parcel, 'reason' => $reason === null ? 'ended from outside' : $reason::class]);
        Parcel::query()->whereKey($this->parcel)->update(['state' => ParcelState::Failed, 'trouble' => 'Sending broke off. Begin it again; nothing is printed twice.']);
    }

    private function package(Parcel $parcel, HouseRecord $record): Package
    {
        $export = $parcel->export;
        $to = Destination::at($record, $export->destination['place'] ?? '', Fitting::told($export->destination ?? [])) ?? throw new HouseDeclined('The house has no such place any more.');
        $path = ShopFiles::of($export->shop)->export($export) ?? throw new HouseDeclined('The file is not there any more. Make it again.');

        return new Package($parcel->key, $path, $to->place->kind, $to->place->product, $to->place->place);
    }

    private function told(Parcel $parcel, HouseAnswer $answer): void
    {
        $first = $parcel->number === '';
        $parcel->fill(['number' => $answer->number, 'reasons' => $answer->reasons, 'measured' => $answer->measured->toArray(), 'trouble' => '']);
        if ($answer->verdict === HouseVerdict::Accepted) {
            $first && FileLog::answered($parcel, $answer);
            $this->later($parcel, ParcelState::Accepted, '', null, Parcels::MOST_QUESTIONS, $first ? 0 : null);

            return;
        }
        $parcel->fill(['state' => $answer->verdict === HouseVerdict::Printed ? ParcelState::Printed : ParcelState::Refused, 'due_at' => null])->save();
        FileLog::answered($parcel, $answer);
    }

    private function later(Parcel $parcel, ParcelState $state, string $trouble, ?int $after, int $most, ?int $tries = null): void
    {
        $tries ??= $parcel->tries + 1;
        if ($tries > $most) {
            $this->end($parcel, $state === ParcelState::Accepted ? 'The house has not said for two weeks that it printed this. Ask there.' : trim("$trouble It was tried $most times. Begin it again when the house is back."));

            return;
        }
        $waits = $state === ParcelState::Accepted ? Parcels::QUESTIONS : Parcels::WAITS;
        $wait = max($after ?? 0, $waits[min(max(0, $tries - 1), count($waits) - 1)]);
        $parcel->fill(['state' => $state, 'tries' => $tries, 'trouble' => mb_substr($trouble, 0, 500), 'due_at' => now()->addSeconds($wait)])->save();
        self::dispatch($parcel->id)->delay($wait);
    }

    private function end(Parcel $parcel, string $trouble): void
    {
        $parcel->fill(['state' => ParcelState::Failed, 'trouble' => mb_substr($trouble, 0, 500), 'due_at' => null])->save();
    }
}
