<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;

/** Copies layers, each right after its original. */
final readonly class CopyPieces extends Operation
{
    /** @param  list<string>  $ids  of layers */
    public function __construct(public array $ids) {}

    public static function name(): string
    {
        return 'copy';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'ids');

        return new self($node->texts('ids', Pieces::MOST, 40));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $made = [];
        foreach ($this->ids as $id) {
            $copy = Pieces::copy($artwork, Pieces::one($artwork, $id));
            $artwork = $artwork->replacing($id, fn (Layer $layer): array => [$layer, $copy]);
            $made[] = $copy->id;
        }

        return Edited::choosing($artwork, $made);
    }
}
