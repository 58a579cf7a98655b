<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Benches;
use App\Bench\Briefs;
use App\Bench\Jobs;
use App\Http\Answers\BenchJob;
use App\Http\Answers\JobCard;
use App\Http\Requests\Brief;
use App\Models\PrintJob;
use App\Models\Shop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Sheet;

/** The seller's jobs. */
final class JobController
{
    /** @return list<JobCard> */
    public function index(Shop $shop, Jobs $jobs): array
    {
        return $jobs->cards($shop);
    }

    public function store(Brief $brief, Shop $shop, Briefs $briefs, Benches $benches): JsonResponse
    {
        $job = $briefs->start($shop, $brief->area(), Artwork::blank($brief->title(), $brief->brief(), Sheet::of($brief->area())));

        return $benches->laid($job)->created();
    }

    public function show(PrintJob $job, Benches $benches): BenchJob
    {
        return $benches->laid($job->load(['head', 'shop']));
    }

    /** Copies a job with its current sheet; revisions, exports and comments are not copied. */
    public function copy(PrintJob $job, Shop $shop, Briefs $briefs, Benches $benches): JsonResponse
    {
        return $benches->laid($briefs->copy($shop, $job))->created();
    }

    public function destroy(PrintJob $job, Jobs $jobs): Response
    {
        $jobs->throwAway($job);

        return response()->noContent();
    }
}
