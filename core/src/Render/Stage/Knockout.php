<?php

declare(strict_types=1);

namespace TallCrow\Render\Stage;

use TallCrow\Artwork\Layer;
use TallCrow\Colour\Srgb;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inking\Ring;
use TallCrow\Geometry\Join;
use TallCrow\Raster\Canvas;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\InkOutlines;
use TallCrow\Render\Pictures;
use TallCrow\Render\Piece;
use TallCrow\Render\Scene;
use TallCrow\Type\Letter;

/** The shape that a knockout cuts out, in the alpha of a piece: the outline of its ink, offset by its gap. */
final readonly class Knockout implements Stage
{
    /** Mitre limit: a mitred corner reaches at most this many widths of the gap. */
    private const LIMIT = 4.0;

    private const EDGE = 0.02;

    public function __construct(
        private Outlines $outlines,
        private Pictures $pictures,
    ) {}

    public function paint(Layer $layer, Frame $window, Scene $scene): ?Piece
    {
        $path = $this->outlines->shape($layer, $scene);
        if ($path === null || $path->isEmpty()) {
            return null;
        }
        $role = $layer->role;
        $ring = new Ring($role->gap, null, $role->join, self::LIMIT, $role->whole, InkOutlines::CRUMB);
        $outlines = new InkOutlines([Letter::figure($path->home)], Inking::plain(null)->ringed($ring), $this->pictures, $window->ppi, $path->lie);
        $own = $window->within($path->onSheet()->bounds()->grown($role->gap * ($role->join === Join::Mitre ? self::LIMIT : 1.0) + self::EDGE));
        if ($own === null) {
            return null;
        }
        $white = Srgb::of(255, 255, 255);
        $canvas = new Canvas($own->width, $own->height, $own->fromInches());
        $canvas->colour($white);
        $outlines->ring($canvas, 0);

        return new Piece(Image::flat($white, $canvas->mask()), $own);
    }
}
