<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;

/** The result of an operation: the sheet, and the layers to select. */
final readonly class Edited
{
    /** @param  list<string>  $chosen  ids of layers that the operation made; empty to keep the selection */
    private function __construct(
        public Artwork $artwork,
        public array $chosen = [],
    ) {}

    public static function of(Artwork $artwork): self
    {
        return new self($artwork);
    }

    /** @param  list<string>  $ids */
    public static function choosing(Artwork $artwork, array $ids): self
    {
        return new self($artwork, $ids);
    }
}
