<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;

/** Sets the opacity of a layer. */
final readonly class SetOpacity extends Operation
{
    public function __construct(public string $id, public float $opacity) {}

    public static function name(): string
    {
        return 'set-opacity';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'opacity');

        return new self($node->id('id'), $node->number('opacity', 0, 1));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        return Edited::of(Pieces::each($artwork, [$this->id], fn (Layer $layer): Layer => $layer->withOpacity($this->opacity)));
    }
}
