<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Checks;
use App\Bench\Revisions;
use App\Http\Requests\VersionedChange;
use App\Http\Resources\BenchJob;
use App\Models\PrintJob;
use App\Models\Revision;

/** The gauges: what preflight measures of a revision, and its mends. */
final class PreflightController
{
    /** @return array<string, mixed> */
    public function show(Revision $revision): array
    {
        return ['revision' => $revision->id] + Checks::report($revision)->toArray();
    }

    public function mend(VersionedChange $request, PrintJob $job, Revisions $revisions): BenchJob
    {
        $revision = $job->load('head')->head ?? abort(404);
        $mends = Checks::report($revision)->finding($request->string('finding')->toString())->mends ?? [];
        $mend = $mends[$request->integer('mend')] ?? abort(404, 'That mend is no longer needed: the sheet has changed.');

        return new BenchJob($revisions->save($job, $request->version(), $mend->apply($revision->read())));
    }
}
