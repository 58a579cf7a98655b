<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Reading;
use TallCrow\Compose\Arrange;
use TallCrow\Compose\Edge;
use TallCrow\Render\Placer;

/** Aligns an edge or the centre of each layer with that of their common box, of the sheet or of one layer. */
final readonly class Align extends Operation
{
    /**
     * @param  list<string>  $ids  of layers
     * @param  string  $to  Arrange::SELECTION, Arrange::SHEET or the id of a layer
     */
    public function __construct(public array $ids, public Edge $edge, public string $to) {}

    public static function name(): string
    {
        return 'align';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'ids', 'edge', 'to');

        return new self($node->texts('ids', Pieces::MOST, 40), $node->choice('edge', Edge::class), $node->text('to', 40, Arrange::SELECTION));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        return Edited::of((new Arrange($placer))->align($artwork, $this->ids, $this->edge, $this->to));
    }
}
