<?php

declare(strict_types=1);

namespace TallCrow\Series;

use TallCrow\Artwork\Artwork;

/** The sheet made from one row. */
final readonly class Filled
{
    /**
     * @param  list<RowNote>  $notes  how its words were fitted
     * @param  array<string, float>  $letters  cap height of the words in each slot, in inches
     */
    public function __construct(
        public Artwork $artwork,
        public array $notes,
        public array $letters,
    ) {}
}
