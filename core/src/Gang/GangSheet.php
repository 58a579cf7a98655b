<?php

declare(strict_types=1);

namespace TallCrow\Gang;

/** The film: sheets of one size, or a roll of one width. Lengths are in inches. */
final readonly class GangSheet
{
    /**
     * @param  ?float  $length  null for a roll, which is used as far as needed
     * @param  float  $gap  between pieces, for cutting
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
