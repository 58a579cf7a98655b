<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** One thing that is wrong in an artwork's file: where, and why. */
final readonly class Fault implements \Stringable
{
    public function __construct(
        /** Such as "layers[2].placement.width"; the empty path is the whole file. */
        public string $path,
        public string $reason,
    ) {}

    public function __toString(): string
    {
        return ($this->path === '' ? 'the file' : $this->path).': '.$this->reason;
    }
}
