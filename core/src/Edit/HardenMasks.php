<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Mask\Mask;
use TallCrow\Render\Placer;

/** Removes the soft edges of a layer's masks. */
final readonly class HardenMasks extends Operation
{
    public function __construct(public string $id) {}

    public static function name(): string
    {
        return 'harden-masks';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id');

        return new self($node->id('id'));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        return Edited::of(Pieces::each($artwork, [$this->id], fn (Layer $layer): Layer => $layer->withMasks(
            array_map(fn (Mask $mask): Mask => $mask->isOn() ? $mask->hard() : $mask, $layer->masks),
        )));
    }
}
