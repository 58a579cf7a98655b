<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Outline;
use TallCrow\Type\Letter;

/** A grid of frames with exact gaps, placed as one layer and filled one by one. */
final readonly class GridSource implements FigureSource
{
    use HoldsNoLayers;

    public function __construct(
        public int $columns,
        public int $rows,
        /** Between frames, in inches. */
        public float $gap,
    ) {}

    /** The frames row by row; square if no height is given. */
    public function figures(?float $width, ?float $height): array
    {
        return $this->frames($width ?? $height ?? 1.0, $height);
    }

    public function called(): string
    {
        return sprintf('%d × %d frames', $this->columns, $this->rows);
    }

    public function files(): array
    {
        return [];
    }

    public function hasColours(): bool
    {
        return false;
    }

    public function match(\Closure $text, \Closure $art, \Closure $figures, \Closure $group): mixed
    {
        return $figures($this);
    }

    public function scaled(float $by): self
    {
        return new self($this->columns, $this->rows, $this->gap * $by);
    }

    public function toArray(): array
    {
        return ['kind' => 'grid', 'columns' => $this->columns, 'rows' => $this->rows, 'gap' => $this->gap];
    }

    /** @return list<Letter> */
    private function frames(float $width, ?float $height): array
    {
        $across = max(0.01, ($width - ($this->columns - 1) * $this->gap) / $this->columns);
        $down = $height === null ? $across : max(0.01, ($height - ($this->rows - 1) * $this->gap) / $this->rows);
        $frames = [];
        for ($i = 0; $i < $this->columns * $this->rows; $i++) {
            $x = ($i % $this->columns - ($this->columns - 1) / 2) * ($across + $this->gap);
            $y = (intdiv($i, $this->columns) - ($this->rows - 1) / 2) * ($down + $this->gap);
            $frames[] = Letter::figure(Outline::rectangle($across, $down)->transformed(Affine::shift($x, $y)), $i);
        }

        return $frames;
    }
}
