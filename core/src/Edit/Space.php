<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Reading;
use TallCrow\Compose\Arrange;
use TallCrow\Render\Placer;

/** Makes the gaps between neighbours equal; if no gap is given, the first and the last keep their places. */
final readonly class Space extends Operation
{
    /**
     * @param  list<string>  $ids  of layers
     * @param  ?float  $gap  inches
     */
    public function __construct(public array $ids, public Way $way, public ?float $gap) {}

    public static function name(): string
    {
        return 'space';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'ids', 'way', 'gap');

        return new self($node->texts('ids', Pieces::MOST, 40), $node->choice('way', Way::class), $node->isNull('gap') ? null : $node->number('gap', -50, 50));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        return Edited::of((new Arrange($placer))->spaced($artwork, $this->ids, $this->way === Way::Across, $this->gap));
    }
}
