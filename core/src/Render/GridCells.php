<?php

declare(strict_types=1);

namespace TallCrow\Render;

/** A rectangle of grid cells: its first cell, and how many columns and rows. @internal */
final readonly class GridCells
{
    public function __construct(public int $column, public int $row, public int $columns, public int $rows) {}

    /** @return array{self, self} the two halves of the longer side */
    public function halves(): array
    {
        if ($this->columns >= $this->rows) {
            $half = intdiv($this->columns, 2);

            return [new self($this->column, $this->row, $half, $this->rows), new self($this->column + $half, $this->row, $this->columns - $half, $this->rows)];
        }
        $half = intdiv($this->rows, 2);

        return [new self($this->column, $this->row, $this->columns, $half), new self($this->column, $this->row + $half, $this->columns, $this->rows - $half)];
    }
}
