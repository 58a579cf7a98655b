<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Checks;
use App\Http\Answers\Report;
use App\Models\Revision;

/** The gauges: what preflight measures of a revision, and its mends. */
final class PreflightController
{
    public function __invoke(Revision $revision): Report
    {
        return Report::of($revision->id, Checks::report($revision));
    }
}
