<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\ArtSource;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Framing;
use TallCrow\Artwork\Reading;
use TallCrow\Effect\Stage;
use TallCrow\Render\Placer;

/** Replaces a layer's picture by another and removes the retouching of the old one. */
final readonly class SwapPicture extends Operation
{
    public function __construct(public string $id, public string $file) {}

    public static function name(): string
    {
        return 'swap-picture';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'file');

        return new self($node->id('id'), $node->asset('file'));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $layer = Pieces::one($artwork, $this->id);
        if (! $layer->isPicture()) {
            throw EditRefused::noPicture($layer->called());
        }

        return Edited::of($artwork->withLayer($this->id, $layer->withSource(new ArtSource($this->file, $layer->source instanceof ArtSource ? $layer->source->frame : Framing::Ink))->withEffects(
            array_values(array_filter($layer->effects, fn (EffectLine $line): bool => Stage::of($line->is()) !== Stage::Retouch)),
        )));
    }
}
