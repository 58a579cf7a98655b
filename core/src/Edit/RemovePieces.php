<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Artwork\Role;
use TallCrow\Mask\Mask;
use TallCrow\Render\Placer;
use TallCrow\Texture\Wear;

/** Removes layers, and removes them from every shield, clip mask and knockout that names them. */
final readonly class RemovePieces extends Operation
{
    /** @param  list<string>  $ids  of layers */
    public function __construct(public array $ids) {}

    public static function name(): string
    {
        return 'remove';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'ids');

        return new self($node->texts('ids', Pieces::MOST, 40));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $gone = array_map(
            fn (Layer $layer): string => $layer->id,
            array_merge([], ...array_map(fn (string $id): array => Pieces::one($artwork, $id)->everyLayer(), $this->ids)),
        );
        foreach ($this->ids as $id) {
            $artwork = $artwork->withoutLayer($id);
        }

        return Edited::of($artwork
            ->withLayers(array_map(fn (Layer $layer): Layer => self::without($layer, $gone), $artwork->layers))
            ->withDistress(array_map(fn (Wear $wear): Wear => self::spared($wear, $gone), $artwork->distress)));
    }

    /** @param  list<string>  $gone */
    private static function without(Layer $layer, array $gone): Layer
    {
        $from = array_values(array_diff($layer->role->from, $gone));
        // A knockout that named only these layers clears nothing any more, rather than everything below it.
        $idle = $layer->role->from !== [] && $from === [];

        return $layer
            ->withOn($layer->on && ! $idle)
            ->withRole($from === $layer->role->from ? $layer->role : new Role($layer->role->kind, $layer->role->gap, $layer->role->join, $from, $layer->role->whole))
            ->withMasks(array_values(array_filter($layer->masks, fn (Mask $mask): bool => ! in_array($mask->clipsTo(), $gone, true))))
            ->withDistress(array_map(fn (Wear $wear): Wear => self::spared($wear, $gone), $layer->distress))
            ->withSource($layer->source->each(fn (Layer $child): Layer => self::without($child, $gone)));
    }

    /** @param  list<string>  $gone */
    private static function spared(Wear $wear, array $gone): Wear
    {
        return $wear->shieldingOnly(array_values(array_diff($wear->shielded, $gone)));
    }
}
