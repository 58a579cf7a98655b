<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Reading;
use TallCrow\Colour\Swatch;
use TallCrow\Render\Placer;

/** Removes a named colour of the job; effects that referred to it keep the colour's value. */
final readonly class RemoveColour extends Operation
{
    public function __construct(public string $name) {}

    public static function name(): string
    {
        return 'remove-colour';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'name');

        return new self($node->text('name', 60));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $hex = Swatches::named($artwork, $this->name)->colour->toHex();

        return Edited::of(Swatches::recoloured($artwork, fn (string $colour): string => $colour === "@$this->name" ? $hex : $colour)
            ->withSwatches(array_values(array_filter($artwork->swatches, fn (Swatch $swatch): bool => $swatch->name !== $this->name))));
    }
}
