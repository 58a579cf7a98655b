<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** A group of layers. They are placed on the sheet themselves, so moving a group moves each of them. */
final readonly class GroupSource implements Source
{
    /** @param  list<Layer>  $layers in print order */
    public function __construct(private array $layers) {}

    public function called(): string
    {
        return 'Group';
    }

    public function files(): array
    {
        return [];
    }

    public function hasColours(): bool
    {
        return true;
    }

    public function layers(): array
    {
        return $this->layers;
    }

    public function each(\Closure $change): self
    {
        return new self(array_map($change, $this->layers));
    }

    public function scaled(float $by): self
    {
        return $this;
    }

    public function match(\Closure $text, \Closure $art, \Closure $figures, \Closure $group): mixed
    {
        return $group($this);
    }

    public function toArray(): array
    {
        return ['kind' => 'group', 'layers' => array_map(fn (Layer $layer): array => $layer->toArray(), $this->layers)];
    }
}
