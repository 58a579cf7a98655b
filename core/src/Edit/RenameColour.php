<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Reading;
use TallCrow\Colour\Swatch;
use TallCrow\Render\Placer;

/** Renames a named colour of the job, also in every effect that refers to it. */
final readonly class RenameColour extends Operation
{
    public function __construct(public string $from, public string $to) {}

    public static function name(): string
    {
        return 'rename-colour';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'from', 'to');

        return new self($node->text('from', 60), trim($node->text('to', 60)));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        Swatches::named($artwork, $this->from);
        Swatches::free($artwork, $this->to);

        return Edited::of(Swatches::recoloured($artwork, fn (string $colour): string => $colour === "@$this->from" ? "@$this->to" : $colour)
            ->withSwatches(array_map(fn (Swatch $swatch): Swatch => $swatch->name === $this->from ? new Swatch($this->to, $swatch->colour) : $swatch, $artwork->swatches)));
    }
}
