<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;

/** Mirrors layers together, horizontally or vertically, about the centre of their common box. */
final readonly class Flip extends Operation
{
    /** @param  list<string>  $ids  of layers */
    public function __construct(public array $ids, public Way $way) {}

    public static function name(): string
    {
        return 'flip';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'ids', 'way');

        return new self($node->texts('ids', Pieces::MOST, 40), $node->choice('way', Way::class));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        [$x, $y] = Pieces::middle($artwork, $this->ids, $placer);

        return Edited::of(Pieces::each($artwork, $this->ids, fn (Layer $layer): Layer => $this->way === Way::Across ? $layer->mirroredAcross($x) : $layer->mirroredDown($y)));
    }
}
