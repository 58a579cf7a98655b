<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Briefs;
use App\Http\Requests\Brief;
use App\Http\Resources\BenchJob;
use App\Models\PrintJob;

/** Changes what a job is for; another print area refits the design or keeps its printed size. */
final class BriefController
{
    public function __invoke(Brief $brief, PrintJob $job, Briefs $briefs): BenchJob
    {
        return new BenchJob($briefs->rebrief($job->load('head'), $brief));
    }
}
