<?php

declare(strict_types=1);

namespace TallCrow\Type;

use TallCrow\Geometry\Path;

/** The outline of one glyph where it stands in the setting. */
final readonly class Letter
{
    public function __construct(
        public Path $path,
        public int $line,
        public string $characters,
    ) {}

    public function withPath(Path $path): self
    {
        return new self($path, $this->line, $this->characters);
    }
}
