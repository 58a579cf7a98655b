<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Benches;
use App\Bench\Briefs;
use App\Bench\Revisions;
use App\Http\Answers\BenchJob;
use App\Http\Answers\Version;
use App\Http\Requests\VersionedChange;
use App\Models\PrintJob;
use App\Models\Revision;
use App\Models\Shop;
use Illuminate\Http\JsonResponse;

/** The revisions of a job: list and restore. */
final readonly class VersionController
{
    private const MOST = 60;

    public function __construct(
        private Revisions $revisions,
        private Benches $benches,
    ) {}

    /** @return array<int, Version> the newest first */
    public function index(PrintJob $job): array
    {
        $all = $job->revisions()->count();

        return $job->revisions()->with('user')->orderByDesc('id')->limit(self::MOST)->get()->values()
            ->map(fn (Revision $revision, int $i): Version => Version::of($revision, $all - $i, $job->head_id))->all();
    }

    /** Restores the sheet of a revision as a new revision, which undo reverts. */
    public function restore(VersionedChange $request, PrintJob $job, Revision $revision): BenchJob
    {
        abort_unless($revision->print_job_id === $job->id, 404, 'This state is of another job.');

        return $this->benches->laid($this->revisions->save($job, $request->version(), $revision->read()));
    }

    /** Creates a job from a revision. */
    public function copy(PrintJob $job, Revision $revision, Shop $shop, Briefs $briefs): JsonResponse
    {
        abort_unless($revision->print_job_id === $job->id, 404, 'This state is of another job.');

        return $this->benches->laid($briefs->copy($shop, $job, $revision))->created();
    }
}
