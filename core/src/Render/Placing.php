<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Placement;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Bend;
use TallCrow\Geometry\Box;
use TallCrow\Geometry\Path;
use TallCrow\Type\Letter;

/** The geometry of a layer that is not a group: its size, its place on the sheet, and its vector outline if it has one. */
final readonly class Placing
{
    /**
     * @param  list<Letter>  $letters
     * @param  list<Letter>  $upright
     */
    private function __construct(
        public float $width,
        public float $height,
        /** From the piece's own coordinates (inches, the place that the placement tells at the origin) to inches on the sheet. */
        public Affine $toSheet,
        /** Letters, or a single shape, in inches on the sheet; empty for pictures. */
        public array $letters,
        /** All of them as one path; null for pictures. */
        public ?Path $path,
        /** For a bent picture: from the box of its pixels (inches, centred on the origin) to the piece's own coordinates. */
        public ?Bend $bend = null,
        public float $pictureWidth = 0.0,
        public float $pictureHeight = 0.0,
        /** The letters upright and centred on the origin: they do not change when the piece is moved or turned. */
        public array $upright = [],
        /** The turn and the translation of those to the sheet. */
        public Affine $lie = new Affine(1, 0, 0, 1, 0, 0),
        /** Box of the letters in the piece's own coordinates; null for pictures, which lie about their middle. */
        private ?Box $inked = null,
    ) {}

    /** @param  list<Letter>  $letters  in the piece's own coordinates */
    public static function letters(Placement $placement, array $letters): self
    {
        $box = Letter::together($letters)->bounds();
        $flip = Affine::scale($placement->flip->x(), $placement->flip->y());
        $lie = Affine::turn($placement->turn)->then(Affine::shift($placement->x, $placement->y));
        $upright = array_map(fn (Letter $letter): Letter => $letter->transformed($flip), $letters);
        $placed = array_map(fn (Letter $letter): Letter => $letter->transformed($lie), $upright);

        return new self($box->width(), $box->height(), $flip->then($lie), $placed, Letter::together($placed), upright: $upright, lie: $lie, inked: $box);
    }

    public static function picture(Placement $placement, float $aspect): self
    {
        $width = $placement->width ?? ($placement->height ?? 1.0) / $aspect;
        $height = $placement->height ?? $width * $aspect;

        return new self($width, $height, self::lie($placement), [], null, null, $width, $height);
    }

    /** @param  Box  $picture  box of the pixels, centred on the origin, before bending */
    public static function bentPicture(Placement $placement, Box $picture, Bend $bend, float $width, float $height): self
    {
        return new self($width, $height, self::lie($placement), [], null, $bend, $picture->width(), $picture->height());
    }

    /** The same picture with another map to the sheet. */
    public function lyingBy(Affine $toSheet): self
    {
        return new self($this->width, $this->height, $toSheet, [], null, $this->bend, $this->pictureWidth, $this->pictureHeight);
    }

    /** Its box in its own coordinates, before it is flipped and turned. */
    public function own(): Box
    {
        return $this->inked ?? Box::centred(0, 0, $this->width, $this->height);
    }

    /** Whether it stands about a point other than the middle of its ink, such as words around a circle. */
    public function hasCentre(): bool
    {
        return hypot($this->own()->centreX(), $this->own()->centreY()) > 1e-6;
    }

    /** The piece's bounding box on the sheet, without rings. */
    public function box(): Box
    {
        return $this->path === null
            ? Box::centred(0, 0, $this->width, $this->height)->transformed($this->toSheet)
            : $this->path->bounds();
    }

    private static function lie(Placement $placement): Affine
    {
        return Affine::scale($placement->flip->x(), $placement->flip->y())->then(Affine::turn($placement->turn))->then(Affine::shift($placement->x, $placement->y));
    }
}
