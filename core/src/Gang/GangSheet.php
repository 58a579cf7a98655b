<?php

declare(strict_types=1);

namespace TallCrow\Gang;

/** Film to lay pieces on: sheets of one size, or a roll of one width. Lengths are inches. */
final readonly class GangSheet
{
    /**
     * @param  ?float  $length  null for a roll, of which as much is used as is needed
     * @param  float  $gap  between pieces, for the knife
     * @param  float  $margin  at the edges
     */
    public function __construct(
        public float $width,
        public ?float $length,
        public float $gap = 0.25,
        public float $margin = 0.25,
    ) {
        if ($width - 2 * $margin <= 0 || ($length !== null && $length - 2 * $margin <= 0) || $gap < 0 || $margin < 0) {
            throw GangRefused::sheet();
        }
    }
}
