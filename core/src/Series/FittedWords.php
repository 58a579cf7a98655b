<?php

declare(strict_types=1);

namespace TallCrow\Series;

use TallCrow\Artwork\Layer;

/** Words as they were fitted. */
final readonly class FittedWords
{
    /**
     * @param  float  $letters  height of their capitals, inches
     * @param  list<RowNote>  $notes
     */
    public function __construct(
        public Layer $layer,
        public float $letters,
        public array $notes,
    ) {}
}
