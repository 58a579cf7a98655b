<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

/** A paint, and the part of the piece that it fills. */
final readonly class Filling
{
    public function __construct(
        public Aim $aim,
        public Paint $paint,
    ) {}
}
