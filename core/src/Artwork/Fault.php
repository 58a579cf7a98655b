<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** One fault in an artwork file: its place and the reason. */
final readonly class Fault implements \Stringable
{
    public function __construct(
        /** Such as "layers[2].placement.width"; empty for the whole file. */
        public string $path,
        public string $reason,
    ) {}

    public function __toString(): string
    {
        return ($this->path === '' ? 'the file' : $this->path).': '.$this->reason;
    }
}
