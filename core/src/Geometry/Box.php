<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

/** An axis-parallel rectangle, in inches on the sheet, font units or pixels, as its user defines. */
final readonly class Box
{
    public function __construct(
        public float $left,
        public float $top,
        public float $right,
        public float $bottom,
    ) {}

    public static function centred(float $x, float $y, float $width, float $height): self
    {
        return new self($x - $width / 2, $y - $height / 2, $x + $width / 2, $y + $height / 2);
    }

    public function width(): float
    {
        return $this->right - $this->left;
    }

    public function height(): float
    {
        return $this->bottom - $this->top;
    }

    public function centreX(): float
    {
        return ($this->left + $this->right) / 2;
    }

    public function centreY(): float
    {
        return ($this->top + $this->bottom) / 2;
    }

    public function isEmpty(): bool
    {
        return $this->right <= $this->left || $this->bottom <= $this->top;
    }

    public function grown(float $by): self
    {
        return new self($this->left - $by, $this->top - $by, $this->right + $by, $this->bottom + $by);
    }

    public function moved(float $x, float $y): self
    {
        return new self($this->left + $x, $this->top + $y, $this->right + $x, $this->bottom + $y);
    }

    public function union(self $other): self
    {
        return new self(
            min($this->left, $other->left),
            min($this->top, $other->top),
            max($this->right, $other->right),
            max($this->bottom, $other->bottom),
        );
    }

    /** The intersection; check isEmpty(). */
    public function intersection(self $other): self
    {
        return new self(
            max($this->left, $other->left),
            max($this->top, $other->top),
            min($this->right, $other->right),
            min($this->bottom, $other->bottom),
        );
    }

    public function transformed(Affine $by): self
    {
        $xs = $ys = [];
        foreach ([[$this->left, $this->top], [$this->right, $this->top], [$this->left, $this->bottom], [$this->right, $this->bottom]] as [$x, $y]) {
            [$xs[], $ys[]] = $by->apply($x, $y);
        }

        return new self(min($xs), min($ys), max($xs), max($ys));
    }

    /** @return array{left: float, top: float, width: float, height: float} */
    public function toArray(): array
    {
        return ['left' => $this->left, 'top' => $this->top, 'width' => $this->width(), 'height' => $this->height()];
    }
}
