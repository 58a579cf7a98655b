<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Checks;
use App\Bench\Proof;
use App\Bench\ReportPaper;
use App\Bench\Studio;
use App\Http\Answers\Report;
use App\Models\Revision;
use App\Upkeep\Metrics;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use TallCrow\Edit\Operations;
use TallCrow\Press\Press;
use TallCrow\Raster\ImageFile;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;

/** Preflight of a revision, and its corrections. */
final class PreflightController
{
    /** Greatest side in pixels of a part shown by the press simulation, and the margin around it on which its edges depend. */
    private const MOST_SIDE = 1500;

    /** Longer side in pixels of the preview beside an option's name. */
    private const SMALL = 112;

    /** The same where a single layer is looked at. */
    private const LARGE = 600;

    private const RIM = 24;

    /** Of the whole sheet. */
    private const MOST_PPI = 100.0;

    public function __invoke(Request $request, Revision $revision): Report
    {
        $began = microtime(true);
        $report = Checks::report($revision, $request->boolean('closely'), $request->boolean('bench'));
        Metrics::drew('gauges', microtime(true) - $began);

        return Report::of($revision->id, $report);
    }

    /** The sheet, or a part of it, after operations, without saving them. */
    public function mended(Request $request, Revision $revision): Response
    {
        $studio = Studio::of($revision->job->shop);
        $asked = json_decode($request->string('operations')->toString(), true);
        $artwork = Operations::apply(Operations::read($asked), $revision->read(), $studio->renderer->placer)->artwork;
        $png = Proof::of($revision, $request->float('ppi', 60), near: true)->trying($artwork)->sheet(ProofController::region($request));

        return new Response($png, 200, ['Content-Type' => 'image/png']);
    }

    /** A small picture of one layer after operations, shown beside the name of a paper, texture or warp. */
    public function tried(Request $request, Revision $revision, string $layer): Response
    {
        $studio = Studio::of($revision->job->shop);
        $artwork = $revision->read();
        if ($request->has('operations')) {
            $artwork = Operations::apply(Operations::read(json_decode($request->string('operations')->toString(), true)), $artwork, $studio->renderer->placer)->artwork;
        }
        abort_if($artwork->layer($layer) === null, 404, 'This line is gone.');
        $png = Proof::of($revision, 60, near: true)->trying($artwork)->small($layer, min(self::LARGE, max(self::SMALL, $request->integer('side'))));

        // Words that are still empty have no picture, which is not an error.
        return $png === null ? response()->noContent() : new Response($png, 200, ['Content-Type' => 'image/png']);
    }

    /** The press simulation of the sheet, or of a part at the print's resolution, on one of the job's cloths. */
    public function pressed(Request $request, Revision $revision): Response
    {
        $artwork = $revision->read();
        $garment = $artwork->brief->garments[$request->integer('cloth')] ?? abort(404, 'The job does not offer that cloth.');
        $part = ProofController::region($request);
        $ppi = $artwork->sheet->ppi->value;
        $whole = Frame::sheet($artwork->sheet, $ppi);
        $frame = $part === null ? $whole : new Frame($ppi, $part[0], $part[1], min(self::MOST_SIDE, max(1, $part[2])), min(self::MOST_SIDE, max(1, $part[3])));
        $wide = $frame->grown(self::RIM);
        $art = Studio::of($revision->job->shop)->renderer->picture($artwork, $wide, fn (LayerTrouble $trouble): null => null)->settled();
        $printed = Press::of($artwork->brief->method, $garment->colour, $ppi)->printed($art, [$wide->left, $wide->top])->crop(self::RIM, self::RIM, $frame->width, $frame->height);
        // The whole sheet is also simulated at full resolution and then shrunk.
        $seen = $part === null ? $printed->shrunk(max(1, (int) round($ppi / min(self::MOST_PPI, max(10.0, $request->float('ppi', 60))))))->settled() : $printed;

        return new Response(ImageFile::png($seen), 200, ['Content-Type' => 'image/png']);
    }

    public function page(Revision $revision): Response
    {
        return new Response(ReportPaper::of($revision)->html(), 200, ['Content-Type' => 'text/html; charset=UTF-8']);
    }

    public function paper(Revision $revision): Response
    {
        return new Response(ReportPaper::of($revision)->pdf(), 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'attachment; filename="report-'.$revision->id.'.pdf"']);
    }
}
