<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Benches;
use App\Http\Answers\BenchJob;
use App\Http\Requests\Operating;
use App\Models\PrintJob;

/** Changes a sheet by operations of the core, such as moving, scaling, rotating, reordering or correcting layers. */
final class OperationController
{
    public function __invoke(Operating $request, PrintJob $job, Benches $benches): BenchJob
    {
        return $benches->operate($job->load(['head', 'shop']), $request->version(), $request->operations());
    }
}
