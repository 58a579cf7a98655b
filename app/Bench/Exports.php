<?php

declare(strict_types=1);

namespace App\Bench;

use App\Jobs\ExportArtwork;
use App\Models\Export;
use App\Models\ExportState;
use App\Models\PrintJob;
use App\Models\SeriesRow;
use App\Rights\JobRights;
use App\Rights\SalesBook;
use App\Sending\Destination;
use App\Upkeep\Room;
use Illuminate\Validation\ValidationException;
use TallCrow\Export\PrintForm;
use TallCrow\Export\PrintPng;
use TallCrow\Rights\Ruling;

final readonly class Exports
{
    public function __construct(private SalesBook $sales) {}

    /**
     * @param  ?Destination  $to  null for the job's own print area
     * @param  string  $batch  of the send that it is part of
     * @param  ?array{kind: string, scene: string, seed: int, cloth: string}  $listing  of a picture to list it by; null for a print
     * @param  PrintForm  $form  its kind counts where it is for no house
     * @param  string  $why  why it is made though the terms of something on it do not allow it
     *
     * @throws ValidationException when that is needed and not said
     */
    public function start(PrintJob $job, string $why = '', ?Destination $to = null, string $batch = '', string $file = '', PrintForm $form = new PrintForm, ?SeriesRow $row = null, string $title = '', ?array $listing = null): Export
    {
        $head = $job->head ?? abort(422, 'There is nothing to export yet.');
        $rights = JobRights::of($job, $head->read(), $this->sales);
        if ($rights->ruling === Ruling::NotAllowed && trim($why) === '') {
            throw ValidationException::withMessages(['why' => 'Something on this design is not allowed by its terms as stated. Say why you print it all the same: a word is kept with the file.']);
        }
        // As large as the sheet's pixels at worst.
        Room::demand($job->shop->folder('exports'), 4 * ($to->place->area->width ?? $job->area_width) * ($to->place->area->height ?? $job->area_height));
        $export = $job->exports()->create([
            'shop_id' => $job->shop_id,
            'user_id' => auth()->id(),
            'revision_id' => $head->id,
            'state' => ExportState::Queued,
            'stage' => 'waiting',
            'why' => trim($why),
            'rulings' => $rights->rulings(),
            'file' => $file === '' ? pathinfo(PrintPng::fileName($job->title), PATHINFO_FILENAME).'.'.$form->kind->ending() : $file,
            'destination' => $to?->toArray(),
            'batch' => $batch,
            'series_row_id' => $row?->id,
            'title' => $row === null ? '' : $title,
            'form' => $listing ?? ['kind' => $form->kind->value, 'cut' => $form->cut, 'fewerColours' => $form->fewerColours],
        ])->refresh();
        ExportArtwork::dispatch($export->id);

        return $export;
    }

    /** Ends one that waits at once; one that runs ends at its next step. */
    public function cancel(Export $export): Export
    {
        if (! $export->state->isOver()) {
            Export::query()->whereKey($export->id)->whereIn('state', [ExportState::Queued, ExportState::Paused])->update(['state' => ExportState::Cancelled, 'stage' => 'cancelled']);
            Export::query()->whereKey($export->id)->where('state', ExportState::Running)->update(['state' => ExportState::Cancelling]);
        }

        return $export->refresh();
    }
}
