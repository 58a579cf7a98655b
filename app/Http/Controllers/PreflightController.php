<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Checks;
use App\Http\Answers\Report;
use App\Models\Revision;
use App\Upkeep\Metrics;

/** The gauges: what preflight measures of a revision, and its mends. */
final class PreflightController
{
    public function __invoke(Revision $revision): Report
    {
        $began = microtime(true);
        $report = Checks::report($revision);
        Metrics::drew('gauges', microtime(true) - $began);

        return Report::of($revision->id, $report);
    }
}
