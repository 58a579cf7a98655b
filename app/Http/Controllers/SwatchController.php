<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Benches;
use App\Bench\Revisions;
use App\Http\Answers\BenchJob;
use App\Http\Requests\PaletteUpload;
use App\Models\PrintJob;
use Illuminate\Http\Response;
use TallCrow\Colour\GplPalette;
use TallCrow\Colour\Swatch;
use TallCrow\Edit\Swatches;

/** Export and import of a job's named colours as a .gpl palette. */
final class SwatchController
{
    public function download(PrintJob $job): Response
    {
        $artwork = $job->load('head')->head?->read() ?? abort(404);

        return response(GplPalette::write($artwork->title, $artwork->swatches), 200, [
            'Content-Type' => 'text/plain; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="swatches.gpl"',
        ]);
    }

    /** Existing names get the new colour; other colours are added. */
    public function upload(PaletteUpload $request, PrintJob $job, Revisions $revisions, Benches $benches): BenchJob
    {
        $artwork = $job->load('head')->head?->read() ?? abort(404);
        $byName = [];
        foreach ([...$artwork->swatches, ...GplPalette::read($request->palette())] as $swatch) {
            $byName[$swatch->name] = $swatch;
        }
        abort_if(count($byName) > Swatches::MOST, 422, sprintf('A job holds %d named colours at most; with this palette there would be %d.', Swatches::MOST, count($byName)));

        return $benches->laid($revisions->save($job, $request->integer('version'), $artwork->withSwatches(array_values(array_map(fn (Swatch $swatch): Swatch => $swatch, $byName)))));
    }
}
