<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** Finds cyclic clip masks: a layer clipped to a group that contains it, or layers clipped to one another. */
final class ClipCycles
{
    /** @var array<string, Layer> */
    private array $layers = [];

    /** @var array<string, bool> by id: true while it is being visited, false once it is known to have no cycle */
    private array $open = [];

    /** @return ?array{string, string} ids of a layer and of the layer it is clipped to; null if there is no cycle */
    public static function find(Artwork $artwork): ?array
    {
        $search = new self;
        foreach ($artwork->everyLayer() as $layer) {
            $search->layers[$layer->id] = $layer;
        }
        foreach ($search->layers as $layer) {
            $found = $search->follow($layer);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /** @return ?array{string, string} */
    private function follow(Layer $layer): ?array
    {
        $this->open[$layer->id] = true;
        foreach ($this->needs($layer) as $id => $clips) {
            $state = $this->open[$id] ?? null;
            if ($state === true) {
                return [$layer->id, (string) $id];
            }
            $found = $state === null ? $this->follow($this->layers[$id]) : null;
            if ($found !== null) {
                return $clips ? [$layer->id, (string) $id] : $found;
            }
        }
        $this->open[$layer->id] = false;

        return null;
    }

    /** @return array<string, bool> ids of the layers that must be drawn first: children, and layers of clip masks (true) */
    private function needs(Layer $layer): array
    {
        $needs = [];
        foreach ($layer->children() as $child) {
            $needs[$child->id] = false;
        }
        foreach ($layer->masks as $mask) {
            $id = $mask->clipsTo();
            if ($id !== null && isset($this->layers[$id])) {
                $needs[$id] = true;
            }
        }

        return $needs;
    }
}
