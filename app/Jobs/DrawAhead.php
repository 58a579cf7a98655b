<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Bench\Checks;
use App\Bench\Proof;
use App\Bench\Thumbnails;
use App\Models\Revision;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Draws a sheet in advance, with lower priority than exports: in a new shop, or after the drawing code changed, nothing is cached. */
final class DrawAhead implements ShouldQueue
{
    use Queueable;

    /** Resolutions of a card's thumbnail and of the proofs that a bench of usual size requests first. */
    private const CARD = 20.0;

    private const PROOFS = [30.0, 50.0];

    /** If it fails, the picture is drawn on request. */
    public int $tries = 1;

    public function __construct(private readonly int $revision)
    {
        $this->onQueue(PreviewAsset::QUEUE);
    }

    public function handle(): void
    {
        $revision = Revision::query()->with('job.shop')->find($this->revision);
        // A sheet that was changed meanwhile is drawn by the bench that changed it.
        if ($revision === null || $revision->job->head_id !== $revision->id) {
            return;
        }
        Thumbnails::kept($revision, self::CARD);
        foreach (self::PROOFS as $ppi) {
            Proof::of($revision, $ppi, near: true)->sheet(null);
        }
        Checks::report($revision, closely: false);
    }
}
