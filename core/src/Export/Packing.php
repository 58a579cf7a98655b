<?php

declare(strict_types=1);

namespace TallCrow\Export;

/** What was done to a file to keep it within the bytes that a house takes. */
final readonly class Packing
{
    /**
     * @param  int  $level  of zlib, 0 to 9
     * @param  ?int  $colours  that are left of it; null where none was taken
     * @param  bool  $over  whether it is larger than the limit all the same
     */
    public function __construct(
        public int $level,
        public ?int $colours = null,
        public bool $over = false,
    ) {}

    /** In words; empty where nothing is to be said. */
    public function said(): string
    {
        return trim(($this->colours === null ? '' : "It was brought down to $this->colours colours to be small enough. ").($this->over ? 'It is larger than this house takes.' : ''));
    }
}
