<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Checks;
use App\Bench\Proof;
use App\Bench\Studio;
use App\Http\Answers\Report;
use App\Models\Revision;
use App\Upkeep\Metrics;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use TallCrow\Edit\Operations;

/** The gauges: what preflight measures of a revision, and its mends. */
final class PreflightController
{
    public function __invoke(Request $request, Revision $revision): Report
    {
        $began = microtime(true);
        $report = Checks::report($revision, $request->boolean('closely'));
        Metrics::drew('gauges', microtime(true) - $began);

        return Report::of($revision->id, $report);
    }

    /** The sheet, or a part of it, as operations would leave it: nothing is saved. */
    public function mended(Request $request, Revision $revision): Response
    {
        $studio = Studio::of($revision->job->shop);
        $asked = json_decode($request->string('operations')->toString(), true);
        $artwork = Operations::apply(Operations::read($asked), $revision->read(), $studio->renderer->placer)->artwork;
        $png = Proof::of($revision, $request->float('ppi', 60), near: true)->trying($artwork)->sheet(ProofController::region($request));

        return new Response($png, 200, ['Content-Type' => 'image/png', 'Cache-Control' => 'private, max-age=3600']);
    }

    /** What a partner or a printer is shown: the design on its cloths, what was measured, what is meant so. One page that needs nothing else. */
    public function page(Revision $revision): Response
    {
        $artwork = $revision->read();
        $png = Proof::of($revision, 60.0, near: true)->sheet(null);

        return new Response(view('report', ['artwork' => $artwork, 'report' => Checks::report($revision, true), 'picture' => 'data:image/png;base64,'.base64_encode($png), 'day' => now()->toDateString()])->render(), 200, [
            'Content-Type' => 'text/html; charset=UTF-8',
        ]);
    }
}
