<?php

declare(strict_types=1);

namespace TallCrow\Render\Stage;

use TallCrow\Artwork\Layer;
use TallCrow\Colour\Srgb;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\Piece;
use TallCrow\Render\Scene;
use TallCrow\Render\Shapes;

/** Where a knockout takes ink away: the outline of its ink, widened by its gap, in the alpha of a piece. */
final readonly class Knockout implements Stage
{
    /** A mitred corner reaches four gaps from the outline at most, and an edge a little beyond. */
    private const REACH = 4.0;

    private const EDGE = 0.02;

    public function __construct(private Outlines $outlines) {}

    public function paint(Layer $layer, Frame $window, Scene $scene): ?Piece
    {
        $path = $this->outlines->shape($layer, $scene);
        if ($path === null || $path->isEmpty()) {
            return null;
        }
        $own = $window->within($path->bounds()->grown($layer->role->gap * self::REACH + self::EDGE));

        return $own === null ? null : new Piece(Image::flat(Srgb::of(255, 255, 255), Shapes::mask($path, $layer->role->gap, $layer->role->join, $own)), $own);
    }
}
