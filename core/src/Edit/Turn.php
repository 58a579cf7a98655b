<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;

/** Rotates layers clockwise about the centre of their common box. */
final readonly class Turn extends Operation
{
    /** @param  list<string>  $ids  of layers */
    public function __construct(public array $ids, public float $degrees) {}

    public static function name(): string
    {
        return 'turn';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'ids', 'degrees');

        return new self($node->texts('ids', Pieces::MOST, 40), $node->number('degrees', -360, 360));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        [$x, $y] = Pieces::middle($artwork, $this->ids, $placer);

        return Edited::of(Pieces::each($artwork, $this->ids, fn (Layer $layer): Layer => $layer->turned($this->degrees, $x, $y)));
    }
}
