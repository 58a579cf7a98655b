<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;

/** Moves a layer to another place in the print order of its own list. */
final readonly class Reorder extends Operation
{
    /** @param  int  $to  0 is the bottom layer */
    public function __construct(public string $id, public int $to) {}

    public static function name(): string
    {
        return 'reorder';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'to');

        return new self($node->id('id'), $node->integer('to', 0, Pieces::MOST));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $own = Pieces::one($artwork, $this->id);

        return Edited::of($artwork->relisting($this->id, function (array $layers) use ($own): array {
            $others = array_values(array_filter($layers, fn (Layer $layer): bool => $layer->id !== $own->id));
            array_splice($others, min($this->to, count($others)), 0, [$own]);

            return $others;
        }));
    }
}
