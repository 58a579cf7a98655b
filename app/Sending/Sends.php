<?php

declare(strict_types=1);

namespace App\Sending;

use App\Bench\Exports;
use App\Bench\WantedFile;
use App\Files\ShopFiles;
use App\Jobs\ExportArtwork;
use App\Models\Export;
use App\Models\ExportState;
use App\Models\PrintJob;
use App\Models\Series;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use TallCrow\Export\PrintForm;
use TallCrow\Export\PrintPng;
use ZipArchive;

/** Batches of exports: one file for each destination of a job, started together. */
final readonly class Sends
{
    public function __construct(private Exports $exports) {}

    /**
     * @param  bool  $fewerColours  for files that are larger than their house takes
     * @return list<Export>
     *
     * @throws ValidationException when the job goes nowhere, or a word is wanted why it is printed
     */
    public function begin(PrintJob $job, string $why, bool $fewerColours = false): array
    {
        $places = Destination::of($job);
        if ($places === []) {
            throw ValidationException::withMessages(['destinations' => 'This job goes to no house yet. Choose one or several in its brief.']);
        }
        $taken = [];
        $files = array_map(function (Destination $to) use ($job, $fewerColours, &$taken): WantedFile {
            return new WantedFile($to, self::free($to->file($job->title), $taken), new PrintForm(fewerColours: $fewerColours));
        }, $places);

        return $this->exports->startAll($job, $why, $files, (string) Str::uuid());
    }

    /**
     * Every row of a series, to every place that its job goes to; to the job's own print area where it goes to none.
     *
     * @param  ?string  $scene  in which each is drawn on each cloth that it is offered on, to list it by; null for no pictures
     * @return list<Export>
     *
     * @throws ValidationException when there is no row, or a word is wanted why it is printed
     */
    public function series(PrintJob $job, Series $series, string $why, bool $fewerColours, ?string $scene = null): array
    {
        $rows = $series->rows()->get();
        $revision = $job->head;
        if ($revision === null) {
            throw ValidationException::withMessages(['rows' => 'The series has no rows yet.']);
        }
        [$pattern, $called] = [$series->read(), $revision->read()->title];
        $places = Destination::of($job);
        [$taken, $files] = [[], []];
        $cloths = $scene === null ? [] : $revision->read()->brief->garments;
        foreach ($rows as $row) {
            $title = $pattern->called($row->values, $called, $row->position);
            foreach ($places === [] ? [null] : $places as $to) {
                $file = self::free($to?->file($title) ?? PrintPng::fileName($title), $taken);
                $files[] = new WantedFile($to, $file, new PrintForm(fewerColours: $fewerColours), $row, $title);
            }
            foreach ($cloths as $garment) {
                $file = self::free(pathinfo(PrintPng::fileName("$title $garment->name"), PATHINFO_FILENAME).'.jpg', $taken);
                $files[] = new WantedFile(file: $file, row: $row, title: $title, listing: ['kind' => Export::LISTING, 'scene' => (string) $scene, 'seed' => $row->position, 'cloth' => $garment->colour->toHex()]);
            }
        }

        return $this->exports->startAll($job, $why, $files ?: throw ValidationException::withMessages(['rows' => 'The series has no rows yet.']), (string) Str::uuid());
    }

    /** Pauses the waiting exports of a batch until it is resumed. */
    public function pause(PrintJob $job, string $batch): void
    {
        $job->exports()->where('batch', $batch)->where('state', ExportState::Queued)->update(['state' => ExportState::Paused, 'stage' => 'paused']);
    }

    public function resume(PrintJob $job, string $batch): void
    {
        $this->queuedAgain($job, $batch, ExportState::Paused);
    }

    /** @param  array<string, true>  $taken */
    private static function free(string $file, array &$taken): string
    {
        // Two houses may require the same file name, but names in a zip must be unique.
        for ($n = 2, $free = $file; isset($taken[$free]); $n++) {
            $free = pathinfo($file, PATHINFO_FILENAME)."-$n.".pathinfo($file, PATHINFO_EXTENSION);
        }
        $taken[$free] = true;

        return $free;
    }

    /** @return list<Export> those of a send that failed or were cancelled, begun again */
    public function again(PrintJob $job, string $batch): array
    {
        return $this->queuedAgain($job, $batch, ExportState::Failed, ExportState::Cancelled);
    }

    /** @return list<Export> those in one of some states */
    private function queuedAgain(PrintJob $job, string $batch, ExportState ...$from): array
    {
        $ids = $job->exports()->where('batch', $batch)->whereIn('state', $from)->orderBy('id')->get(['id'])->map(fn (Export $export): int => $export->id)->all();
        Export::query()->whereKey($ids)->whereIn('state', $from)->update(['state' => ExportState::Queued, 'stage' => 'waiting', 'progress' => 0, 'trouble' => null]);
        $exports = array_values($job->exports()->whereKey($ids)->orderBy('id')->get()->all());
        Queue::bulk(array_map(fn (Export $export): ExportArtwork => new ExportArtwork($export->id), $exports));

        return $exports;
    }

    /** Writes the finished files of a batch, uncompressed, into a zip in the shop's temporary folder, and returns its path. */
    public function zip(PrintJob $job, string $batch): string
    {
        $done = $job->exports()->where('batch', $batch)->where('state', ExportState::Done)->with('shop')->get();
        abort_if($done->isEmpty(), 404, 'No file of this send is finished yet.');
        $path = $job->shop->folder('scratch').'/send-'.bin2hex(random_bytes(6)).'.zip';
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE);
        foreach ($done as $export) {
            $file = ShopFiles::of($export->shop)->export($export);
            if ($file !== null) {
                $zip->addFile($file, $export->file);
                $zip->setCompressionName($export->file, ZipArchive::CM_STORE);
            }
        }
        $zip->close();

        return $path;
    }
}
