<?php

declare(strict_types=1);

namespace TallCrow\Series;

use TallCrow\Artwork\Layer;

/** The result of fitting words. */
final readonly class FittedWords
{
    /**
     * @param  float  $letters  their cap height, inches
     * @param  list<RowNote>  $notes
     */
    public function __construct(
        public Layer $layer,
        public float $letters,
        public array $notes,
    ) {}
}
