<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectReader;
use TallCrow\Artwork\Faults;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Node;
use TallCrow\Artwork\Reading;
use TallCrow\Effect\Look\Halftone;
use TallCrow\Render\Placer;

/** Replaces partial transparency of layers (soft masks, opacity, soft looks) by halftone dots of solid ink. Solid ink is not changed. */
final readonly class AsHalftone extends Operation
{
    /** @param  list<string>  $ids  of layers */
    public function __construct(public array $ids) {}

    public static function name(): string
    {
        return 'as-halftone';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'ids');

        return new self($node->texts('ids', Pieces::MOST, 40));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        return Edited::of(Pieces::each($artwork, $this->ids, fn (Layer $layer): Layer => $layer->endsFades()
            ? $layer
            : $layer->withEffects([...$layer->effects, EffectReader::ofAnySwatch()->line(Node::root(['kind' => Halftone::kind()], new Faults))])));
    }
}
