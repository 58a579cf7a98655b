<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Benches;
use App\Bench\Revisions;
use App\Http\Answers\BenchJob;
use App\Http\Requests\SaveArtwork;
use App\Http\Requests\VersionedChange;
use App\Models\PrintJob;

/** Saves a build sheet as a new revision; undo and redo. */
final readonly class ArtworkController
{
    public function __construct(
        private Revisions $revisions,
        private Benches $benches,
    ) {}

    public function save(SaveArtwork $request, PrintJob $job): BenchJob
    {
        return $this->benches->laid($this->revisions->save($job, $request->version(), $request->artwork()));
    }

    public function undo(VersionedChange $request, PrintJob $job): BenchJob
    {
        return $this->benches->laid($this->revisions->undo($job, $request->version()));
    }

    public function redo(VersionedChange $request, PrintJob $job): BenchJob
    {
        return $this->benches->laid($this->revisions->redo($job, $request->version()));
    }
}
