<?php

declare(strict_types=1);

namespace App\Sending;

use App\Bench\Exports;
use App\Files\ShopFiles;
use App\Jobs\ExportArtwork;
use App\Models\Export;
use App\Models\ExportState;
use App\Models\PrintJob;
use App\Models\Series;
use App\Series\SeriesBook;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use TallCrow\Export\PrintForm;
use TallCrow\Export\PrintPng;
use ZipArchive;

/** Sends: for each place that a job goes to one file, all begun by one press. */
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
        $batch = (string) Str::uuid();
        $taken = [];

        return array_map(function (Destination $to) use ($job, $why, $fewerColours, $batch, &$taken): Export {
            return $this->exports->start($job, $why, $to, $batch, self::free($to->file($job->title), $taken), new PrintForm(fewerColours: $fewerColours));
        }, $places);
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
        if ($rows->isEmpty() || $revision === null) {
            throw ValidationException::withMessages(['rows' => 'The series has no rows yet.']);
        }
        $places = Destination::of($job);
        $batch = (string) Str::uuid();
        [$taken, $exports] = [[], []];
        foreach ($rows as $row) {
            $title = SeriesBook::title($row, $series, $revision);
            foreach ($places === [] ? [null] : $places as $to) {
                $file = self::free($to?->file($title) ?? PrintPng::fileName($title), $taken);
                $exports[] = $this->exports->start($job, $why, $to, $batch, $file, new PrintForm(fewerColours: $fewerColours), $row, $title);
            }
            foreach ($scene === null ? [] : $revision->read()->brief->garments as $garment) {
                $file = self::free(pathinfo(PrintPng::fileName("$title $garment->name"), PATHINFO_FILENAME).'.jpg', $taken);
                $exports[] = $this->exports->start($job, $why, null, $batch, $file, row: $row, title: $title, listing: ['kind' => Export::LISTING, 'scene' => (string) $scene, 'seed' => $row->position, 'cloth' => $garment->colour->toHex()]);
            }
        }

        return $exports;
    }

    /** Those of a send that wait stay where they are until it goes on. */
    public function pause(PrintJob $job, string $batch): void
    {
        $job->exports()->where('batch', $batch)->where('state', ExportState::Queued)->update(['state' => ExportState::Paused, 'stage' => 'paused']);
    }

    public function resume(PrintJob $job, string $batch): void
    {
        foreach ($job->exports()->where('batch', $batch)->where('state', ExportState::Paused)->get() as $export) {
            $export->update(['state' => ExportState::Queued, 'stage' => 'waiting']);
            ExportArtwork::dispatch($export->id);
        }
    }

    /** @param  list<string>  $taken */
    private static function free(string $file, array &$taken): string
    {
        // Two houses may ask for the same name; a zip holds each once.
        for ($n = 2, $free = $file; in_array($free, $taken, true); $n++) {
            $free = pathinfo($file, PATHINFO_FILENAME)."-$n.".pathinfo($file, PATHINFO_EXTENSION);
        }
        $taken[] = $free;

        return $free;
    }

    /** @return list<Export> those of a send that failed or were cancelled, begun again */
    public function again(PrintJob $job, string $batch): array
    {
        $left = $job->exports()->where('batch', $batch)->whereIn('state', [ExportState::Failed, ExportState::Cancelled])->get();
        foreach ($left as $export) {
            $export->update(['state' => ExportState::Queued, 'stage' => 'waiting', 'progress' => 0, 'trouble' => null]);
            ExportArtwork::dispatch($export->id);
        }

        return array_values($left->all());
    }

    /** Writes the finished files of a send into one zip of the shop's scratch folder, unpacked as they are, and answers where. */
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
