<?php

declare(strict_types=1);

namespace App\Bench;

use App\Jobs\ExportArtwork;
use App\Models\Export;
use App\Models\ExportState;
use App\Models\PrintJob;
use App\Upkeep\Room;
use TallCrow\Export\PrintPng;

final class Exports
{
    public function start(PrintJob $job): Export
    {
        $head = $job->head ?? abort(422, 'There is nothing to export yet.');
        // As large as the sheet's pixels at worst.
        Room::demand($job->shop->folder('exports'), 4 * $job->area_width * $job->area_height);
        $export = $job->exports()->create([
            'shop_id' => $job->shop_id,
            'user_id' => auth()->id(),
            'revision_id' => $head->id,
            'state' => ExportState::Queued,
            'stage' => 'waiting',
            'file' => PrintPng::fileName($job->title),
        ])->refresh();
        ExportArtwork::dispatch($export->id);

        return $export;
    }

    /** Ends one that waits at once; one that runs ends at its next step. */
    public function cancel(Export $export): Export
    {
        if (! $export->state->isOver()) {
            Export::query()->whereKey($export->id)->where('state', ExportState::Queued)->update(['state' => ExportState::Cancelled, 'stage' => 'cancelled']);
            Export::query()->whereKey($export->id)->where('state', ExportState::Running)->update(['state' => ExportState::Cancelling]);
        }

        return $export->refresh();
    }
}
