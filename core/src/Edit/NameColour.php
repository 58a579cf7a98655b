<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Reading;
use TallCrow\Colour\Srgb;
use TallCrow\Colour\Swatch;
use TallCrow\Render\Placer;

/** Makes a colour of the sheet a named colour of the job: all effects that use it refer to it by name. */
final readonly class NameColour extends Operation
{
    public function __construct(public Srgb $colour, public string $name) {}

    public static function name(): string
    {
        return 'name-colour';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'colour', 'name');

        return new self($node->colour('colour'), trim($node->text('name', 60)));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        Swatches::free($artwork, $this->name);
        $hex = $this->colour->toHex();

        return Edited::of(Swatches::recoloured($artwork, fn (string $colour): string => $colour === $hex ? "@$this->name" : $colour)
            ->withSwatches([...$artwork->swatches, new Swatch($this->name, $this->colour)]));
    }
}
