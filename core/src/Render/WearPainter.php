<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Image;
use TallCrow\Texture\Catalogue;
use TallCrow\Texture\Wear;
use TallCrow\Texture\WearTile;

/** Lays wear over a window of the sheet. */
final readonly class WearPainter
{
    /** Part of every key: raise it when a texture is to look otherwise. */
    private const VERSION = 'wear-2';

    /** Wear that goes with a piece starts on this grid, whole pixels at the usual proofs and prints. */
    private const GRID = 0.05;

    public function __construct(private Pictures $pictures) {}

    /** One band: 255 where ink stays. The texture's corner lies at the given inches. */
    public function kept(Wear $wear, Frame $frame, float $x = 0.0, float $y = 0.0): Image
    {
        return $this->taken($wear, $frame, $x, $y)->inverted();
    }

    /** One band: 255 where ink goes. */
    public function taken(Wear $wear, Frame $frame, float $x = 0.0, float $y = 0.0): Image
    {
        $tile = $this->tile($wear, $frame->ppi);
        $left = (int) round(round($x / self::GRID) * self::GRID * $frame->ppi) - $frame->left;
        $top = (int) round(round($y / self::GRID) * self::GRID * $frame->ppi) - $frame->top;

        return $tile->tiled($left, $top, $frame->width, $frame->height);
    }

    private function tile(Wear $wear, float $ppi): Image
    {
        $class = Catalogue::classes()[$wear->texture];
        $name = self::VERSION." {$wear->texture} {$wear->seed}";
        $field = fn (): Image => $this->pictures->image("field $name", fn (): Image => $class::field($wear->seed));

        return $this->pictures->image(
            "tile $name {$wear->amount} {$wear->scale} ".($wear->inverted ? 'inverted' : 'plain')." $ppi",
            fn (): Image => WearTile::make($field(), $wear, $ppi),
        );
    }
}
