<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;

/** One action that would make a check pass. */
final readonly class Mend
{
    /** @param  \Closure(Artwork): Artwork  $apply */
    public function __construct(
        public string $says,
        private \Closure $apply,
    ) {}

    public function apply(Artwork $artwork): Artwork
    {
        return ($this->apply)($artwork);
    }
}
