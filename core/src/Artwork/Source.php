<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** The content of a layer. */
interface Source
{
    /** The layer's name if it has none of its own. */
    public function called(): string;

    /** @return list<string> names of the font and pictures that it needs from the shelf */
    public function files(): array;

    /** Whether it has colours of its own, which show unless a fill replaces them. */
    public function hasColours(): bool;

    /** @return list<Layer> its child layers, in print order */
    public function layers(): array;

    /**
     * The same source with each child layer changed.
     *
     * @param  \Closure(Layer): Layer  $change
     */
    public function each(\Closure $change): self;

    /** With its own lengths scaled by one factor; child layers are scaled by the layer. */
    public function scaled(float $by): self;

    /**
     * Calls the function for its kind of source.
     *
     * @template T
     *
     * @param  \Closure(TextSource): T  $text
     * @param  \Closure(ArtSource): T  $art
     * @param  \Closure(FigureSource): T  $figures
     * @param  \Closure(GroupSource): T  $group
     * @return T
     */
    public function match(\Closure $text, \Closure $art, \Closure $figures, \Closure $group): mixed;

    /** @return array<string, mixed> as in a file */
    public function toArray(): array;
}
