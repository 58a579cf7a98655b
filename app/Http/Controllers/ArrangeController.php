<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Revisions;
use App\Bench\Studio;
use App\Http\Requests\Arranging;
use App\Http\Resources\BenchJob;
use App\Models\PrintJob;
use TallCrow\Artwork\Artwork;
use TallCrow\Compose\Arrange;
use TallCrow\Compose\Edge;

/** Aligns, spaces, sizes, flips and groups the lines that are chosen. */
final class ArrangeController
{
    public function __invoke(Arranging $request, PrintJob $job, Revisions $revisions): BenchJob
    {
        $artwork = $job->load('head')->head?->read() ?? abort(404);
        $arrange = new Arrange(Studio::of($job->shop)->renderer->placer);

        return new BenchJob($revisions->save($job, $request->version(), self::arranged($request, $artwork, $arrange)));
    }

    private static function arranged(Arranging $request, Artwork $artwork, Arrange $arrange): Artwork
    {
        $ids = $request->ids();
        $across = $request->boolean('across');

        return match ($request->string('action')->toString()) {
            'align' => $arrange->align($artwork, $ids, Edge::from($request->string('edge')->toString()), $request->string('to', Arrange::SELECTION)->toString()),
            'space' => $arrange->spaced($artwork, $ids, $across, $request->filled('gap') ? $request->float('gap') : null),
            'scale' => $arrange->scaled($artwork, $ids, $request->float('by')),
            'flip' => $arrange->flipped($artwork, $ids, $across),
            default => $arrange->grouped($artwork, $ids, $request->string('as')->toString()),
        };
    }
}
