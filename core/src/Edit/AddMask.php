<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\MaskReader;
use TallCrow\Artwork\Reading;
use TallCrow\Mask\Mask;
use TallCrow\Render\Placer;

/** Appends a mask to a layer. */
final readonly class AddMask extends Operation
{
    public function __construct(public string $id, public Mask $mask) {}

    public static function name(): string
    {
        return 'add-mask';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'mask');

        return new self($node->id('id'), MaskReader::read($node->child('mask')));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        return Edited::of(Pieces::each($artwork, [$this->id], fn (Layer $layer): Layer => $layer->withMasks([...$layer->masks, $this->mask])));
    }
}
