<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** What a layer is made of. */
interface Source
{
    /** @return array<string, mixed> */
    public function toArray(): array;
}
