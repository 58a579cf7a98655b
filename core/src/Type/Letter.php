<?php

declare(strict_types=1);

namespace TallCrow\Type;

use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Path;

/** The outline of one glyph where it stands in the setting. */
final readonly class Letter
{
    public function __construct(
        public Path $path,
        public int $line,
        public string $characters,
        /** Number of its word within the text, the first 0. */
        public int $word = 0,
        /** Middle of its room on the baseline. */
        public float $x = 0.0,
        public float $baseline = 0.0,
    ) {}

    /** A figure that is no letter: a shape, a frame of a grid. */
    public static function figure(Path $path, int $number = 0): self
    {
        return new self($path, 0, '', $number);
    }

    public function withPath(Path $path): self
    {
        return new self($path, $this->line, $this->characters, $this->word, $this->x, $this->baseline);
    }

    public function transformed(Affine $by): self
    {
        [$x, $baseline] = $by->apply($this->x, $this->baseline);

        return new self($this->path->transformed($by), $this->line, $this->characters, $this->word, $x, $baseline);
    }

    /** @param  list<self>  $letters */
    public static function together(array $letters): Path
    {
        return Path::join(...array_map(fn (self $letter): Path => $letter->path, $letters));
    }
}
