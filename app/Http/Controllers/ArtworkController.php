<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Revisions;
use App\Http\Requests\SaveArtwork;
use App\Http\Requests\VersionedChange;
use App\Http\Resources\BenchJob;
use App\Models\PrintJob;

/** Saves a build sheet as a new revision, and goes back and forth among them. */
final class ArtworkController
{
    public function save(SaveArtwork $request, PrintJob $job, Revisions $revisions): BenchJob
    {
        return new BenchJob($revisions->save($job, $request->version(), $request->artwork()));
    }

    public function undo(VersionedChange $request, PrintJob $job, Revisions $revisions): BenchJob
    {
        return new BenchJob($revisions->undo($job, $request->version()));
    }

    public function redo(VersionedChange $request, PrintJob $job, Revisions $revisions): BenchJob
    {
        return new BenchJob($revisions->redo($job, $request->version()));
    }
}
