<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;
use TallCrow\Texture\Wear;

/** Scales the amount of all wear: of the sheet, and of the layers named or of all. */
final readonly class ScaleWear extends Operation
{
    /** @param  list<string>  $ids  of layers; empty for all at the top level */
    public function __construct(public array $ids, public float $by) {}

    public static function name(): string
    {
        return 'scale-wear';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'ids', 'by');

        return new self($node->texts('ids', Pieces::MOST, 40), $node->number('by', 0.001, 100));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $less = fn (Wear $wear): Wear => $wear->withAmount($wear->amount * $this->by);

        return Edited::of($artwork
            ->withLayers(array_map(
                fn (Layer $layer): Layer => $this->ids === [] || in_array($layer->id, $this->ids, true) ? $layer->withDistress(array_map($less, $layer->distress)) : $layer,
                $artwork->layers,
            ))
            ->withDistress(array_map($less, $artwork->distress)));
    }
}
