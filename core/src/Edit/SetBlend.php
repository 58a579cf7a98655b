<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Raster\BlendMode;
use TallCrow\Render\Placer;

/** Blends a layer with what lies below it. */
final readonly class SetBlend extends Operation
{
    public function __construct(public string $id, public BlendMode $blend) {}

    public static function name(): string
    {
        return 'set-blend';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'blend');

        return new self($node->id('id'), $node->choice('blend', BlendMode::class));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        return Edited::of(Pieces::each($artwork, [$this->id], fn (Layer $layer): Layer => $layer->withBlend($this->blend)));
    }
}
