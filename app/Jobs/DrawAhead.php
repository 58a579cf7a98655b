<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Bench\Checks;
use App\Bench\Proof;
use App\Bench\Thumbnails;
use App\Models\Revision;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Draws a sheet before somebody opens it, behind all exports: in a shop that is new, or after the code that draws was changed, nothing is at hand. */
final class DrawAhead implements ShouldQueue
{
    use Queueable;

    /** Ppi of a card's picture, and of the proofs that a bench of usual size asks for first. */
    private const CARD = 20.0;

    private const PROOFS = [30.0, 50.0];

    /** One that fails is drawn when it is looked at. */
    public int $tries = 1;

    public function __construct(private readonly int $revision)
    {
        $this->onQueue(PreviewAsset::QUEUE);
    }

    public function handle(): void
    {
        $revision = Revision::query()->with('job.shop')->find($this->revision);
        // What was changed meanwhile is drawn by the bench that changed it.
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
