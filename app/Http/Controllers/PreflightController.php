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

/** The gauges: what preflight measures of a revision, and its mends. */
final class PreflightController
{
    /** Pixels of a part that is pressed, at most, and about it, since its edges need to know. */
    private const MOST_SIDE = 1500;

    /** Pixels of the longer side of a piece beside a name. */
    private const SMALL = 112;

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

    /** The sheet, or a part of it, as operations would leave it: nothing is saved. */
    public function mended(Request $request, Revision $revision): Response
    {
        $studio = Studio::of($revision->job->shop);
        $asked = json_decode($request->string('operations')->toString(), true);
        $artwork = Operations::apply(Operations::read($asked), $revision->read(), $studio->renderer->placer)->artwork;
        $png = Proof::of($revision, $request->float('ppi', 60), near: true)->trying($artwork)->sheet(ProofController::region($request));

        return new Response($png, 200, ['Content-Type' => 'image/png', 'Cache-Control' => 'private, max-age=3600']);
    }

    /** A piece alone and small, as operations would make it: what stands beside the name of a paper, a texture, a warp. */
    public function tried(Request $request, Revision $revision, string $layer): Response
    {
        $studio = Studio::of($revision->job->shop);
        $asked = json_decode($request->string('operations')->toString(), true);
        $artwork = Operations::apply(Operations::read($asked), $revision->read(), $studio->renderer->placer)->artwork;
        abort_if($artwork->layer($layer) === null, 404, 'This line is gone.');
        $png = Proof::of($revision, 60, near: true)->trying($artwork)->small($layer, self::SMALL);

        // Words that are empty yet have nothing to show, which is no fault.
        return $png === null ? response()->noContent() : new Response($png, 200, ['Content-Type' => 'image/png', 'Cache-Control' => 'private, max-age=86400, immutable']);
    }

    /** The sheet, or a part of it in the print's own pixels, as a house would print it on one of the job's cloths. */
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
        // The whole is printed dot by dot, too, and then looked at from further away.
        $seen = $part === null ? $printed->shrunk(max(1, (int) round($ppi / min(self::MOST_PPI, max(10.0, $request->float('ppi', 60))))))->settled() : $printed;

        return new Response(ImageFile::png($seen), 200, ['Content-Type' => 'image/png', 'Cache-Control' => 'private, max-age=86400, immutable']);
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
