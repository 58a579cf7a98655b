<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;

/** Moves layers by inches. */
final readonly class Move extends Operation
{
    /** @param  list<string>  $ids  of layers */
    public function __construct(public array $ids, public float $dx, public float $dy) {}

    public static function name(): string
    {
        return 'move';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'ids', 'dx', 'dy');

        return new self($node->texts('ids', Pieces::MOST, 40), $node->number('dx', -200, 200), $node->number('dy', -200, 200));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        return Edited::of(Pieces::each($artwork, $this->ids, fn (Layer $layer): Layer => $layer->moved($this->dx, $this->dy)));
    }
}
