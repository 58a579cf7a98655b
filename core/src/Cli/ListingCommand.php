<?php

declare(strict_types=1);

namespace TallCrow\Cli;

use TallCrow\Colour\Srgb;
use TallCrow\Listing\Pictured;
use TallCrow\Listing\Scene;
use TallCrow\Listing\SceneSheet;
use TallCrow\Raster\ImageFile;
use TallCrow\Render\NoPictures;
use TallCrow\Render\Renderer;

/** Draws a listing picture: a job on its garment. */
final class ListingCommand
{
    /** @param  resource  $out */
    public static function run(Arguments $arguments, mixed $out): int
    {
        [$artwork, $shelf] = OpenedJob::from($arguments);
        $target = $arguments->target('FILE.jpg');
        $cloth = $arguments->option('on') ?? ($artwork->brief->garments[0] ?? null)?->colour->toHex() ?? '#8f8a80';
        $sheet = SceneSheet::all()[$arguments->option('scene') ?? 'plain'] ?? throw UnusableCall::missing('--scene, one of '.implode(', ', array_keys(SceneSheet::all())));
        $scene = new Scene($artwork->brief->product->value, $artwork->brief->side->value === 'back', $sheet, (int) ($arguments->option('seed') ?? 1));
        $picture = Pictured::of($artwork, $scene, new Renderer($shelf, new NoPictures(Materials::kept($arguments->option('materials')))))->on(Srgb::hex($cloth));
        file_put_contents($target, ImageFile::jpegOn($picture, Srgb::of(255, 255, 255))) !== false || throw UnusableCall::unwritable($target);
        if ($arguments->option('told') === 'yes') {
            // For a caller that runs it as a separate process, in the same form as for a print.
            PrintedProgress::say($out, ['done' => ['width' => $scene->width, 'height' => $scene->height, 'ppi' => 0, 'inches' => [0, 0], 'bytes' => (int) filesize($target), 'sha256' => (string) hash_file('sha256', $target), 'packing' => '', 'report' => ['findings' => []]]]);

            return Crow::FINE;
        }
        fprintf($out, "%s: %d × %d px, %s on %s\n", $target, $scene->width, $scene->height, $artwork->brief->product->value, $cloth);

        return Crow::FINE;
    }
}
