<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Benches;
use App\Bench\Briefs;
use App\Http\Answers\BenchJob;
use App\Http\Requests\Brief;
use App\Models\PrintJob;

/** Changes a job's brief; if the print area changes, the design is scaled to fit or keeps its printed size. */
final class BriefController
{
    public function __invoke(Brief $brief, PrintJob $job, Briefs $briefs, Benches $benches): BenchJob
    {
        return $benches->laid($briefs->rebrief($job->load('head'), $brief->integer('version'), $brief->title(), $brief->brief(), $brief->area(), $brief->refits()));
    }
}
