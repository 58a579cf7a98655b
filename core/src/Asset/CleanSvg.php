<?php

declare(strict_types=1);

namespace TallCrow\Asset;

/** A sanitised SVG: the result of SvgCleaner. */
final readonly class CleanSvg
{
    /** @param  list<string>  $leftOut  what was removed, in words for the seller */
    public function __construct(
        public string $markup,
        public float $width,
        public float $height,
        public array $leftOut = [],
    ) {}
}
