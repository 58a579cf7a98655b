<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** Layers that belong together. They lie on the sheet themselves, so moving a group moves each of them. */
final readonly class GroupSource implements Source
{
    /** @param  list<Layer>  $layers in print order */
    public function __construct(public array $layers) {}

    public function toArray(): array
    {
        return ['kind' => 'group', 'layers' => array_map(fn (Layer $layer): array => $layer->toArray(), $this->layers)];
    }
}
