<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Sheet;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;

/** A window on the sheet: which pixels of it, when it is drawn at a given ppi. */
final readonly class Frame
{
    public function __construct(
        public float $ppi,
        public int $left,
        public int $top,
        public int $width,
        public int $height,
    ) {}

    public static function sheet(Sheet $sheet, float $ppi): self
    {
        $scale = $ppi / $sheet->ppi->value;

        return new self($ppi, 0, 0, max(1, (int) round($sheet->width * $scale)), max(1, (int) round($sheet->height * $scale)));
    }

    /** The window of all pixels that touch a box in inches; null when there are none. */
    public static function about(Box $inches, float $ppi): ?self
    {
        $left = (int) floor($inches->left * $ppi + 1e-6);
        $top = (int) floor($inches->top * $ppi + 1e-6);
        $width = (int) ceil($inches->right * $ppi - 1e-6) - $left;
        $height = (int) ceil($inches->bottom * $ppi - 1e-6) - $top;

        return $width > 0 && $height > 0 ? new self($ppi, $left, $top, $width, $height) : null;
    }

    /** The part of this window that touches a box given in inches. */
    public function within(Box $inches): ?self
    {
        $about = self::about($inches, $this->ppi);

        return $about === null ? null : $this->overlap($about);
    }

    public function overlap(self $other): ?self
    {
        $left = max($this->left, $other->left);
        $top = max($this->top, $other->top);
        $width = min($this->left + $this->width, $other->left + $other->width) - $left;
        $height = min($this->top + $this->height, $other->top + $other->height) - $top;

        return $width > 0 && $height > 0 ? new self($this->ppi, $left, $top, $width, $height) : null;
    }

    /** Grown by so many pixels on every side. */
    public function grown(int $by): self
    {
        return new self($this->ppi, $this->left - $by, $this->top - $by, $this->width + 2 * $by, $this->height + 2 * $by);
    }

    /** The same window at so many times the ppi. */
    public function finer(int $by): self
    {
        return new self($this->ppi * $by, $this->left * $by, $this->top * $by, $this->width * $by, $this->height * $by);
    }

    /** The same window at a ppi divided by so many; partly covered pixels are left out. */
    public function coarser(int $by): self
    {
        return new self($this->ppi / $by, (int) floor($this->left / $by), (int) floor($this->top / $by), max(1, intdiv($this->width, $by)), max(1, intdiv($this->height, $by)));
    }

    /** The same window at a ppi divided by so many; partly covered pixels are included. */
    public function coarserAround(int $by): self
    {
        [$left, $top] = [(int) floor($this->left / $by), (int) floor($this->top / $by)];

        return new self($this->ppi / $by, $left, $top, (int) ceil(($this->left + $this->width) / $by) - $left, (int) ceil(($this->top + $this->height) / $by) - $top);
    }

    /** From inches on the sheet to pixels of this window. */
    public function fromInches(): Affine
    {
        return Affine::scale($this->ppi, $this->ppi)->then(Affine::shift(-$this->left, -$this->top));
    }

    public function key(): string
    {
        return "{$this->ppi}@{$this->left},{$this->top},{$this->width},{$this->height}";
    }
}
