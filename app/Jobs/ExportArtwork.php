<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Bench\ExportClaim;
use App\Bench\ExportSteps;
use App\Drawing\PrintProcess;
use App\Drawing\PrintRefused;
use App\Drawing\PrintStopped;
use App\Files\ShopFiles;
use App\Models\Export;
use App\Models\ExportState;
use App\Sending\FileLog;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Log;

/**
 * Makes the print file. It may be queued twice or restarted after its worker died: the worker that claims the export makes it, and the
 * file is written under a temporary name, so that an incomplete one is never visible.
 */
final class ExportArtwork implements ShouldQueue
{
    use Queueable;

    /** Seconds after which a waiting export tries again. */
    private const WAIT = 2;

    /** Unlimited, since waiting requeues the job. Failures are recorded in the export. */
    public int $tries = 0;

    public int $maxExceptions = 3;

    public int $timeout = 0;

    public function __construct(private readonly int $export) {}

    public function handle(): void
    {
        $export = Export::query()->with(['revision', 'job', 'shop'])->find($this->export);
        if ($export === null || $export->state->isOver() || $export->state === ExportState::Paused) {
            return;
        }
        if ($export->state === ExportState::Cancelling) {
            $this->end($export, ExportState::Cancelled, 'cancelled');

            return;
        }
        // One at a time per shop, so that no shop blocks the others.
        if (ExportClaim::shopIsBusy($export)) {
            $this->release(self::WAIT);

            return;
        }
        $folder = $this->held($export);
        if ($folder === null) {
            return;
        }
        try {
            ExportClaim::claim($export) && $this->make($export->refresh());
        } finally {
            @unlink(self::lock($export));
            fclose($folder);
        }
    }

    /**
     * Holds the folder in which it is drawn, so that one that is slow to show signs of life, on a machine with much to do, is not made by two
     * at once: the first to end would clear the folder away under the other. What a dead process held is free.
     *
     * @return ?resource null where another works in it
     */
    private function held(Export $export): mixed
    {
        $folder = fopen(self::lock($export), 'c');

        return $folder !== false && flock($folder, LOCK_EX | LOCK_NB) ? $folder : null;
    }

    private static function lock(Export $export): string
    {
        return $export->scratch().'.lock';
    }

    private function make(Export $export): void
    {
        $steps = new ExportSteps($export);
        try {
            $figures = (new PrintProcess($export))->run($steps->step(...), $steps->isWanted(...));
            ShopFiles::of($export->shop)->keepExport($export);
            $export->update(['figures' => $figures, 'sha256' => is_string($figures['sha256'] ?? null) ? $figures['sha256'] : '']);
            FileLog::exported($export, $figures);
            $this->end($export, ExportState::Done, 'done', 100);
        } catch (PrintStopped $stopped) {
            ShopFiles::of($export->shop)->dropExport($export);
            $stopped->cancelled ? $this->end($export, ExportState::Cancelled, 'cancelled') : $this->failed($stopped);
        } catch (PrintRefused $refused) {
            // Retrying would fail in the same way.
            $this->failed($refused);
        } finally {
            File::deleteDirectory($export->scratch());
            ExportClaim::isLastOf($export) && File::deleteDirectory($export->shared());
        }
    }

    /** Called after the last attempt, or at once if retrying is pointless. */
    public function failed(?\Throwable $reason): void
    {
        $said = $reason instanceof PrintStopped || $reason instanceof PrintRefused ? $reason->getMessage() : 'The export broke off. Try again; if it fails again, the log of the application says why.';
        Log::error('An export failed.', ['export' => $this->export, 'reason' => $reason === null ? 'ended from outside' : $reason::class]);
        Export::query()->whereKey($this->export)->update(['state' => ExportState::Failed, 'stage' => 'failed', 'trouble' => $said]);
    }

    private function end(Export $export, ExportState $state, string $stage, int $progress = 0): void
    {
        $export->update(['state' => $state, 'stage' => $stage, 'progress' => $progress]);
    }
}
