<?php

declare(strict_types=1);

namespace App\Bench;

use App\Jobs\ExportArtwork;
use App\Models\Export;
use App\Models\ExportState;
use App\Models\PrintJob;
use App\Rights\JobRights;
use App\Rights\SalesBook;
use App\Upkeep\Room;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Validation\ValidationException;
use TallCrow\Export\PrintPng;
use TallCrow\Rights\Ruling;

final readonly class Exports
{
    public function __construct(private SalesBook $sales) {}

    /**
     * @param  string  $why  why it is made though the terms of something on it do not allow it
     *
     * @throws ValidationException when that is needed and not said
     */
    public function start(PrintJob $job, string $why = '', WantedFile $wanted = new WantedFile): Export
    {
        return $this->startAll($job, $why, [$wanted])[0];
    }

    /**
     * All of them or none: what was begun waits in the queue, whatever becomes of the request.
     *
     * @param  non-empty-list<WantedFile>  $files
     * @param  string  $batch  of the send that they are
     * @return non-empty-list<Export>
     *
     * @throws ValidationException when a word why is needed and not said
     */
    public function startAll(PrintJob $job, string $why, array $files, string $batch = ''): array
    {
        $head = $job->head ?? abort(422, 'There is nothing to export yet.');
        $rights = JobRights::of($job, $head->read(), $this->sales);
        if ($rights->ruling === Ruling::NotAllowed && trim($why) === '') {
            throw ValidationException::withMessages(['why' => 'Something on this design is not allowed by its terms as stated. Say why you print it all the same: a word is kept with the file.']);
        }
        // In the worst case a file is as large as the uncompressed pixels.
        $pixels = max(array_map(fn (WantedFile $file): int => ($file->to->place->area->width ?? $job->area_width) * ($file->to->place->area->height ?? $job->area_height), $files));
        Room::demand($job->shop->folder('exports'), 4 * $pixels);
        $rulings = $rights->rulings();

        $ids = DB::transaction(fn (): array => array_map(fn (WantedFile $file): int => $job->exports()->create([
            'shop_id' => $job->shop_id,
            'user_id' => auth()->id(),
            'revision_id' => $head->id,
            'state' => ExportState::Queued,
            'stage' => 'waiting',
            'why' => trim($why),
            'rulings' => $rulings,
            'file' => $file->file === '' ? pathinfo(PrintPng::fileName($job->title), PATHINFO_FILENAME).'.'.$file->form->kind->ending() : $file->file,
            'destination' => $file->to?->toArray(),
            'batch' => $batch,
            'series_row_id' => $file->row?->id,
            'title' => $file->row === null ? '' : $file->title,
            'form' => $file->form(),
        ])->id, $files));
        Queue::bulk(array_map(fn (int $id): ExportArtwork => new ExportArtwork($id), $ids));
        $made = $job->exports()->whereKey($ids)->get()->keyBy('id')->all();

        return array_map(fn (int $id): Export => $made[$id], $ids);
    }

    /** A waiting export is cancelled at once, a running one at its next step. */
    public function cancel(Export $export): Export
    {
        if (! $export->state->isOver()) {
            Export::query()->whereKey($export->id)->whereIn('state', [ExportState::Queued, ExportState::Paused])->update(['state' => ExportState::Cancelled, 'stage' => 'cancelled']);
            Export::query()->whereKey($export->id)->where('state', ExportState::Running)->update(['state' => ExportState::Cancelling]);
        }

        return $export->refresh();
    }
}
