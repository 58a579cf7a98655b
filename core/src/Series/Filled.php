<?php

declare(strict_types=1);

namespace TallCrow\Series;

use TallCrow\Artwork\Artwork;

/** A row as a sheet of its own. */
final readonly class Filled
{
    /**
     * @param  list<RowNote>  $notes  what became of its words
     * @param  array<string, float>  $letters  height of the capitals of each slot of words, in inches
     */
    public function __construct(
        public Artwork $artwork,
        public array $notes,
        public array $letters,
    ) {}
}
