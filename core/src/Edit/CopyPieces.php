<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Follows;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;

/** Copies layers, each right after its original, and links the copies to the originals if asked to. */
final readonly class CopyPieces extends Operation
{
    /** @param  list<string>  $ids  of layers */
    public function __construct(public array $ids, public bool $linked = false) {}

    public static function name(): string
    {
        return 'copy';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'ids', 'linked');

        return new self($node->texts('ids', Pieces::MOST, 40), $node->flag('linked', false));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $made = [];
        foreach ($this->ids as $id) {
            $original = Pieces::one($artwork, $id);
            if ($this->linked && $original->placement === null) {
                throw EditRefused::groupFollowed($original->called());
            }
            $copy = Pieces::copy($artwork, $original);
            $copy = $this->linked ? $copy->following(Follows::all($original->follows->layer ?? $id)) : $copy;
            $artwork = $artwork->replacing($id, fn (Layer $layer): array => [$layer, $copy]);
            $made[] = $copy->id;
        }

        return Edited::choosing($artwork, $made);
    }
}
