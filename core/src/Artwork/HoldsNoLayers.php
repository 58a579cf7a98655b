<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** What every source but a group says of the layers that it holds. */
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
