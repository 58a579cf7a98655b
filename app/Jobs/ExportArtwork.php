<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Bench\ExportCancelled;
use App\Bench\ExportSteps;
use App\Bench\Studio;
use App\Models\Export;
use App\Models\ExportState;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Log;
use TallCrow\Export\Exporter;
use TallCrow\Export\PngBroken;
use TallCrow\Render\LayerTrouble;

/** Makes the print file. May be begun again after its worker died: the file is written aside, so a half one never shows. */
final class ExportArtwork implements ShouldQueue
{
    use Queueable;

    public int $tries = 5;

    public int $timeout = 600;

    public function __construct(private readonly int $export) {}

    public function handle(): void
    {
        $export = Export::query()->with(['revision', 'job', 'shop'])->find($this->export);
        if ($export === null || $export->state->isOver()) {
            return;
        }
        if ($export->state === ExportState::Cancelling) {
            $this->end($export, ExportState::Cancelled, 'cancelled');

            return;
        }
        $export->update(['state' => ExportState::Running, 'stage' => 'layers', 'progress' => 0]);
        try {
            $done = Exporter::export(
                $export->revision->read(),
                Studio::of($export->shop)->shelf,
                $export->path(),
                $export->scratch(),
                new ExportSteps($export),
                $export->job->area(),
            );
            $export->update(['figures' => $done->toArray()]);
            $this->end($export, ExportState::Done, 'done', 100);
        } catch (ExportCancelled) {
            @unlink($export->path());
            $this->end($export, ExportState::Cancelled, 'cancelled');
        } catch (LayerTrouble|PngBroken $trouble) {
            // Another try would meet the same trouble.
            $this->fail($trouble);
        }
    }

    /** After the last try, or at once for what another try would not mend. */
    public function failed(?\Throwable $reason): void
    {
        Log::error('An export failed.', ['export' => $this->export, 'reason' => $reason === null ? 'ended from outside' : $reason::class]);
        Export::query()->whereKey($this->export)->update([
            'state' => ExportState::Failed, 'stage' => 'failed', 'trouble' => $reason?->getMessage() ?? 'The export was ended from outside.',
        ]);
    }

    private function end(Export $export, ExportState $state, string $stage, int $progress = 0): void
    {
        $export->update(['state' => $state, 'stage' => $stage, 'progress' => $progress]);
    }
}
