<?php

declare(strict_types=1);

namespace TallCrow\Cli;

use TallCrow\Colour\Srgb;
use TallCrow\Listing\Backdrop;
use TallCrow\Listing\ListingPicture;
use TallCrow\Listing\Scene;
use TallCrow\Raster\ImageFile;
use TallCrow\Render\Frame;
use TallCrow\Render\NoPictures;
use TallCrow\Render\Renderer;

/** Draws a job on its garment, as a picture to list it by. */
final class ListingCommand
{
    /** @param  resource  $out */
    public static function run(Arguments $arguments, mixed $out): int
    {
        [$artwork, $shelf] = OpenedJob::from($arguments);
        $target = $arguments->option('out') ?? throw UnusableCall::missing('--out FILE.jpg');
        $cloth = $arguments->option('on') ?? ($artwork->brief->garments[0] ?? null)?->colour->toHex() ?? '#8f8a80';
        $backdrop = Backdrop::tryFrom($arguments->option('backdrop') ?? 'plain') ?? throw UnusableCall::missing('--backdrop plain, paper, wood or leaves');
        $scene = new Scene($artwork->brief->product->value, $artwork->brief->side->value === 'back', Srgb::hex($cloth), $backdrop, (int) ($arguments->option('seed') ?? 1));
        $art = (new Renderer($shelf, new NoPictures(Materials::kept())))->picture($artwork, Frame::sheet($artwork->sheet, ListingPicture::ppi($scene)));
        file_put_contents($target, ImageFile::jpegOn(ListingPicture::draw($scene, $art->settled(), $artwork->sheet), Srgb::of(255, 255, 255))) !== false || throw UnusableCall::file($target);
        fprintf($out, "%s: %d × %d px, %s on %s\n", $target, $scene->width, $scene->height, $artwork->brief->product->value, $cloth);

        return Crow::FINE;
    }
}
