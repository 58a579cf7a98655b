<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** What a layer is made of. */
interface Source
{
    /** What its layer is called as long as it has no name of its own. */
    public function called(): string;

    /** @return list<string> names of the font and pictures that it needs from the shelf */
    public function files(): array;

    /** Whether it has colours of its own, which show as long as nothing fills it. */
    public function hasColours(): bool;

    /** @return list<Layer> those that it holds, in print order */
    public function layers(): array;

    /**
     * The same source with each layer that it holds changed.
     *
     * @param  \Closure(Layer): Layer  $change
     */
    public function each(\Closure $change): self;

    /** With every length of its own sized by one factor; what it holds is sized by its layer. */
    public function scaled(float $by): self;

    /**
     * Answers by the kind of source that it is.
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

    /** @return array<string, mixed> as it stands in a file */
    public function toArray(): array;
}
