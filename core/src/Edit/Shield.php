<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;
use TallCrow\Texture\Wear;

/**
 * Protects a layer's ink from the sheet's wear and halves its own wear; for a knockout, protects the ink around it and halves the wear of the layers
 * it clears.
 */
final readonly class Shield extends Operation
{
    public function __construct(public string $id) {}

    public static function name(): string
    {
        return 'shield';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id');

        return new self($node->id('id'));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $artwork = $artwork->withDistress(array_map(fn (Wear $wear): Wear => $wear->shielding($this->id), $artwork->distress));
        $below = Pieces::one($artwork, $this->id)->role->prints() ? [$this->id] : Pieces::takenFrom($artwork->layers, $this->id);

        return Edited::of(Pieces::each($artwork, $below, fn (Layer $layer): Layer => $layer->withDistress(
            array_map(fn (Wear $wear): Wear => $wear->withAmount($wear->amount / 2), $layer->distress),
        )));
    }
}
