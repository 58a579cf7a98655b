<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Placement;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Path;

/** A leaf layer's own geometry: its size, how it lies on the sheet, and its outline if it has one of itself. */
final readonly class Placing
{
    private function __construct(
        public float $width,
        public float $height,
        /** From the piece's own inches, its middle at 0, to inches on the sheet. */
        public Affine $toSheet,
        /** On the sheet, in inches; null for pictures. */
        public ?Path $path,
    ) {}

    /** @param  Path  $outline in the piece's own inches, its middle at 0 */
    public static function outline(Placement $placement, Path $outline): self
    {
        $box = $outline->bounds();
        $toSheet = self::lie($placement);

        return new self($box->width(), $box->height(), $toSheet, $outline->transformed($toSheet));
    }

    public static function picture(Placement $placement, float $aspect): self
    {
        return new self($placement->width, $placement->height ?? $placement->width * $aspect, self::lie($placement), null);
    }

    /** The piece's own box as it lies on the sheet, without rings. */
    public function box(): Box
    {
        return $this->path === null
            ? Box::centred(0, 0, $this->width, $this->height)->transformed($this->toSheet)
            : $this->path->bounds();
    }

    private static function lie(Placement $placement): Affine
    {
        return Affine::scale($placement->flip->x(), $placement->flip->y())
            ->then(Affine::turn($placement->turn))
            ->then(Affine::shift($placement->x, $placement->y));
    }
}
