<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Benches;
use App\Bench\Briefs;
use App\Http\Answers\BenchJob;
use App\Http\Requests\Brief;
use App\Models\PrintJob;

/** Changes what a job is for; another print area refits the design or keeps its printed size. */
final class BriefController
{
    public function __invoke(Brief $brief, PrintJob $job, Briefs $briefs, Benches $benches): BenchJob
    {
        return $benches->laid($briefs->rebrief($job->load('head'), $brief->integer('version'), $brief->title(), $brief->brief(), $brief->area(), $brief->refits()));
    }
}
