<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;

/** Makes a layer's width and height independent of one another, at its present size. */
final readonly class Stretch extends Operation
{
    public function __construct(public string $id) {}

    public static function name(): string
    {
        return 'stretch';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id');

        return new self($node->id('id'));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $layer = Pieces::one($artwork, $this->id);
        $placing = $placer->place($layer);
        if ($layer->placement === null) {
            throw EditRefused::noPlace($layer->called());
        }
        if ($placing === null) {
            throw EditRefused::noInk($layer->called());
        }

        return Edited::of($artwork->withLayer($this->id, $layer->withPlacement($layer->placement->sized($placing->width, $placing->height))));
    }
}
