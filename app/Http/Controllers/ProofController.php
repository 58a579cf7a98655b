<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Proof;
use App\Bench\ProofSteps;
use App\Bench\Studio;
use App\Bench\Thumbnails;
use App\Http\Answers\Bucket;
use App\Http\Answers\Drawing;
use App\Http\Answers\FoundColour;
use App\Http\Answers\Picked;
use App\Http\Answers\PocketOfPicture;
use App\Models\Revision;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use TallCrow\Raster\ImageFile;

/** Pictures of a revision: the sheet or a part of it at any ppi, one layer, and the layers and colour at a point. */
final class ProofController
{
    /** Longer side in pixels of a picture for the screen. */
    private const SCREEN = 1100;

    /** The same while strokes are drawn on it, since it is drawn again after each. */
    private const SCRIBBLED = 720;

    public function sheet(Request $request, Revision $revision): Response
    {
        $ppi = $request->float('ppi', 60);
        $region = self::region($request);
        $without = $request->string('without')->toString();

        return self::png($ppi <= Thumbnails::MOST_PPI && $region === null && $without === ''
            ? Thumbnails::kept($revision, $ppi)
            : self::proof($request, $revision, $ppi)->sheet($region, $without));
    }

    /** The progress of the requested proof. */
    public function steps(Request $request, Revision $revision): Drawing
    {
        return new Drawing(ProofSteps::read($revision, $request->float('ppi', 60)));
    }

    public function layer(Request $request, Revision $revision, string $layer): Response
    {
        $proof = self::proof($request, $revision, $request->float('ppi', 60));

        return self::png(match ($request->string('show')->toString()) {
            'taken' => $proof->taken($layer),
            'mask' => $proof->mask($layer),
            default => $proof->layer($layer),
        } ?? abort(404, 'There is nothing of this line to show.'));
    }

    /** The ink that the sheet's wear clears, in a signal colour. */
    public function taken(Request $request, Revision $revision): Response
    {
        return self::png(self::proof($request, $revision, $request->float('ppi', 60))->taken(null) ?? abort(404));
    }

    /**
     * The few colours that a picture is reduced to by the line of that number, each with its share.
     *
     * @return list<Bucket>
     */
    public function buckets(Revision $revision, string $layer, int $line): array
    {
        return Studio::of($revision->job->shop)->buckets($revision->read(), $layer, $line) ?? abort(404, 'This line is gone.');
    }

    /**
     * The parts of a background that a picture encloses, the largest first.
     *
     * @return list<PocketOfPicture>
     */
    public function pockets(Revision $revision, string $layer, int $line): array
    {
        return Studio::of($revision->job->shop)->pockets($revision->read(), $layer, $line) ?? abort(404, 'This line is gone.');
    }

    /** A layer's picture before one of its effects, at screen size. */
    public function before(Revision $revision, string $layer, int $line): Response
    {
        $pixels = Studio::of($revision->job->shop)->before($revision->read(), $layer, $line) ?? abort(404, 'This line is gone, or it has no picture of pixels.');

        return self::png(ImageFile::png($pixels->resized(min(1.0, self::SCREEN / max($pixels->width(), $pixels->height()))), 1));
    }

    /** A layer's picture after an effect with the strokes that are sent, without saving them. */
    public function scribbled(Request $request, Revision $revision, string $layer, int $line): Response
    {
        $left = Studio::of($revision->job->shop)->scribbled($revision->read(), $layer, $line, $request->input('scribbles'), self::SCRIBBLED) ?? abort(404, 'This line is gone, or nothing is drawn on it.');

        return response(ImageFile::png($left, 1), 200, ['Content-Type' => 'image/png', 'Cache-Control' => 'no-store']);
    }

    public function pick(Request $request, Revision $revision): Picked
    {
        return new Picked(self::proof($request, $revision, 60)->pick($request->float('x'), $request->float('y')));
    }

    public function colour(Request $request, Revision $revision): FoundColour
    {
        return new FoundColour(self::proof($request, $revision, 75)->colour($request->float('x'), $request->float('y'))?->toHex());
    }

    private static function proof(Request $request, Revision $revision, float $ppi): Proof
    {
        return Proof::of($revision, $ppi, near: in_array($request->ip(), ['127.0.0.1', '::1'], true), atBench: $request->boolean('bench'));
    }

    private static function png(string $bytes): Response
    {
        return response($bytes, 200, ['Content-Type' => 'image/png']);
    }

    /** @return ?array{int, int, int, int} */
    public static function region(Request $request): ?array
    {
        return $request->has(['left', 'top', 'width', 'height'])
            ? [$request->integer('left'), $request->integer('top'), $request->integer('width'), $request->integer('height')]
            : null;
    }
}
