<?php

declare(strict_types=1);

namespace TallCrow\Asset;

/** A drawing with nothing in it but figures: the result of SvgCleaner. */
final readonly class CleanSvg
{
    public function __construct(
        public string $markup,
        public float $width,
        public float $height,
    ) {}
}
