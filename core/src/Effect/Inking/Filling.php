<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

/** A paint and the part that it is for. */
final readonly class Filling
{
    public function __construct(
        public Aim $aim,
        public Paint $paint,
    ) {}
}
