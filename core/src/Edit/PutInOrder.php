<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectOrder;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Reading;
use TallCrow\Render\Placer;

/** Puts the effects of a layer in the best order. */
final readonly class PutInOrder extends Operation
{
    public function __construct(public string $id) {}

    public static function name(): string
    {
        return 'put-in-order';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id');

        return new self($node->id('id'));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        return Edited::of(Pieces::each($artwork, [$this->id], fn (Layer $layer): Layer => $layer->withEffects(EffectOrder::mended($layer->effects))));
    }
}
