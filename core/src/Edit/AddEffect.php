<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\EffectOrder;
use TallCrow\Artwork\EffectReader;
use TallCrow\Artwork\Reading;
use TallCrow\Effect\Stage;
use TallCrow\Render\Placer;

/** Adds an effect to a layer, at its best place in the order or before all others. */
final readonly class AddEffect extends Operation
{
    /** @param  bool  $standsOut  whether its colour is chosen to contrast with the layer and the cloths, and its default lengths to suit the layer's size */
    public function __construct(public string $id, public EffectLine $line, public bool $first, public bool $standsOut = false) {}

    public static function name(): string
    {
        return 'add-effect';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'line', 'first', 'standsOut');

        return new self($node->id('id'), EffectReader::ofAnySwatch()->line($node->child('line')), $node->flag('first', false), $node->flag('standsOut', false));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $layer = Pieces::one($artwork, $this->id);
        $stage = Stage::of($this->line->is());
        if (! $stage->isForAny() && ! ($stage->isForRasters() ? $layer->isPicture() : $layer->isWords())) {
            throw EditRefused::notHere($this->line->kind, $layer->called());
        }
        $line = $this->standsOut ? NewLengths::ofLine(NewInk::ofLine($this->line, $artwork, $layer), $layer, $placer) : $this->line;
        $lines = $layer->effects;
        array_splice($lines, $this->first ? 0 : EffectOrder::place($lines, $line->is()), 0, [$line]);

        return Edited::of($artwork->withLayer($this->id, $layer->withEffects($lines)));
    }
}
