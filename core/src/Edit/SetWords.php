<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Reading;
use TallCrow\Artwork\TextSource;
use TallCrow\Render\Placer;

/** Changes the words of a text layer. */
final readonly class SetWords extends Operation
{
    public function __construct(public string $id, public string $text) {}

    public static function name(): string
    {
        return 'set-words';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'text');

        return new self($node->id('id'), $node->text('text', 10_000));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $layer = Pieces::one($artwork, $this->id);
        $source = $layer->source;
        if (! $source instanceof TextSource) {
            throw EditRefused::noWords($layer->called());
        }

        return Edited::of($artwork->withLayer($this->id, $layer->withSource(new TextSource($this->text, $source->font, $source->align, $source->leading))));
    }
}
