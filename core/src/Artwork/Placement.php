<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Geometry\Affine;

/** The place of a layer: inches from the sheet's upper left corner, rotation in degrees clockwise. */
final readonly class Placement
{
    public function __construct(
        public float $x,
        public float $y,
        /** Width of the fill's ink, before rings; null: follows from the height. */
        public ?float $width,
        /** Null: follows from the width. */
        public ?float $height,
        public float $turn,
        public Flip $flip,
        /** For words sized by their letters: the measure that is given; null if width or height are given. */
        public ?LetterSize $letters = null,
        /** In inches; if lines have different sizes, of the lines at normal size. */
        public float $letterSize = 0.0,
    ) {}

    /** Adds inches and rounds off the binary rounding error, so that a layer moved there and back returns to its exact place. */
    public static function sum(float $one, float $other): float
    {
        return round($one + $other, 9);
    }

    public function moved(float $dx, float $dy): self
    {
        return $this->with(x: self::sum($this->x, $dx), y: self::sum($this->y, $dy));
    }

    public function scaled(float $by, float $aboutX, float $aboutY): self
    {
        return new self(
            $aboutX + ($this->x - $aboutX) * $by,
            $aboutY + ($this->y - $aboutY) * $by,
            $this->width === null ? null : $this->width * $by,
            $this->height === null ? null : $this->height * $by,
            $this->turn,
            $this->flip,
            $this->letters,
            $this->letterSize * $by,
        );
    }

    public function turned(float $degrees, float $aboutX, float $aboutY): self
    {
        [$x, $y] = Affine::shift(-$aboutX, -$aboutY)->then(Affine::turn($degrees))->then(Affine::shift($aboutX, $aboutY))->apply($this->x, $this->y);

        return $this->with($x, $y, fmod($this->turn + $degrees, 360.0));
    }

    /** Mirrored at a vertical axis, which reverses the rotation. */
    public function mirroredAcross(float $axis): self
    {
        return $this->with(2 * $axis - $this->x, $this->y, -$this->turn, $this->flip->across());
    }

    public function mirroredDown(float $axis): self
    {
        return $this->with($this->x, 2 * $axis - $this->y, -$this->turn, $this->flip->down());
    }

    /** The same size at the sheet's corner, upright and not flipped. */
    public function atHome(): self
    {
        return new self(0, 0, $this->width, $this->height, 0, Flip::None, $this->letters, $this->letterSize);
    }

    /** With a given width and height, or one of them following from the other. */
    public function sized(?float $width, ?float $height): self
    {
        return new self($this->x, $this->y, $width, $height, $this->turn, $this->flip);
    }

    /** Sized by the letters. */
    public function lettered(LetterSize $by, float $inches): self
    {
        return new self($this->x, $this->y, null, null, $this->turn, $this->flip, $by, $inches);
    }

    /** @return array<string, float|string|null> */
    public function toArray(): array
    {
        return ($this->letters === null ? [] : [$this->letters->value => $this->letterSize]) + ['x' => $this->x, 'y' => $this->y, 'width' => $this->width, 'height' => $this->height, 'turn' => $this->turn, 'flip' => $this->flip->value];
    }

    private function with(float $x, float $y, ?float $turn = null, ?Flip $flip = null): self
    {
        return new self($x, $y, $this->width, $this->height, $turn ?? $this->turn, $flip ?? $this->flip, $this->letters, $this->letterSize);
    }
}
