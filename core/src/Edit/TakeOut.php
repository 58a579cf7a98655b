<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Mask\FreehandMask;
use TallCrow\Mask\Usual;
use TallCrow\Render\Placer;

/** Splits the part of a picture inside a hand-drawn outline off as a layer of its own, above the rest. */
final readonly class TakeOut extends Operation
{
    /** @param  list<array{float, float}>  $points  as fractions of the layer's box */
    public function __construct(public string $id, public array $points) {}

    public static function name(): string
    {
        return 'take-out';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'points');

        return new self($node->id('id'), $node->points('points', FreehandMask::MOST_POINTS, 12));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $layer = Pieces::one($artwork, $this->id);
        $part = Pieces::copy($artwork, $layer);
        $part = $part->withName(mb_substr('Part of '.$layer->called(), 0, 80))->withMasks([...$layer->masks, new FreehandMask($this->points, 0.0)]);
        $rest = $layer->withMasks([...$layer->masks, new FreehandMask($this->points, 0.0, new Usual(inverted: true))]);

        return Edited::choosing($artwork->replacing($this->id, fn (Layer $whole): array => [$rest, $part]), [$part->id]);
    }
}
