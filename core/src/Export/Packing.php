<?php

declare(strict_types=1);

namespace TallCrow\Export;

/** What was done to keep a file within a house's size limit. */
final readonly class Packing
{
    /**
     * @param  int  $level  zlib level, 0 to 9
     * @param  ?int  $colours  remaining colours; null if they were not reduced
     * @param  bool  $over  whether it still exceeds the limit
     */
    public function __construct(
        public int $level,
        public ?int $colours = null,
        public bool $over = false,
    ) {}

    /** A description; empty if nothing was done. */
    public function said(): string
    {
        return trim(($this->colours === null ? '' : "It was brought down to $this->colours colours to be small enough. ").($this->over ? 'It is larger than this house takes.' : ''));
    }
}
