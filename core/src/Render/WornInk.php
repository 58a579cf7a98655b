<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;

/** The ink that a line of wear works on. */
final readonly class WornInk
{
    /** Ppi at which the ink is drawn to weigh how much of it lies under each level of a texture. */
    public const PPI = 25.0;

    /** How often the texture is looked at, at most, each time at other places. */
    public const LOOKS = 4;

    /** So much finer the texture is looked at than the ink. */
    public const FINER_LOOK = 3;

    /** As many pixels of ink in all looks together give the share to a few parts in a thousand. */
    public const ENOUGH = 400_000;

    /** Where wear follows edges, they need to be seen. */
    public const EDGES_PPI = 75.0;

    /**
     * @param  string  $key  changes when the ink does
     * @param  \Closure(float): ?Piece  $coarse  all of the ink at a ppi, what is shielded left out
     * @param  Box  $extent  that strokes of a brush are shares of
     * @param  ?Image  $alpha  of the ink in the window that is drawn
     */
    public function __construct(
        public string $key,
        public \Closure $coarse,
        public Box $extent,
        public ?Image $alpha = null,
        /** Where the texture's corner lies for the coarse ink, when that is not where the ink itself lies. */
        public ?float $x = null,
        public ?float $y = null,
        /** @var ?\Closure(float): ?Piece as $coarse, the ink whose edges chip, where that is another */
        public ?\Closure $edges = null,
    ) {}
}
