<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;

/** Scales layers and every length on them (rings, gaps, feathers, wear) by one factor about the centre of their common box. */
final readonly class Scale extends Operation
{
    /** @param  list<string>  $ids  of layers */
    public function __construct(public array $ids, public float $by) {}

    public static function name(): string
    {
        return 'scale';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'ids', 'by');

        return new self($node->texts('ids', Pieces::MOST, 40), $node->number('by', 0.005, 200));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        [$x, $y] = Pieces::middle($artwork, $this->ids, $placer);

        return Edited::of(Pieces::each($artwork, $this->ids, fn (Layer $layer): Layer => $layer->scaled($this->by, $x, $y)));
    }
}
