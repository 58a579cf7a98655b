<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** For sources other than groups, which have no child layers. */
trait HoldsNoLayers
{
    public function layers(): array
    {
        return [];
    }

    public function each(\Closure $change): self
    {
        return $this;
    }
}
