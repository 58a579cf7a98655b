<?php

declare(strict_types=1);

namespace TallCrow\Paper;

use TallCrow\Colour\Srgb;

/** The colours of a paper; if it asks for more than are given, they are repeated in turn. */
final readonly class Colours
{
    /** @param  list<Srgb>  $given */
    public function __construct(private array $given) {}

    public function at(int $index): Srgb
    {
        return $this->given === [] ? Srgb::of(255, 255, 255) : $this->given[$index % count($this->given)];
    }

    public function hex(int $index): string
    {
        return $this->at($index)->toHex();
    }

    /** @return non-empty-list<Srgb> all colours, and at least as many as asked for */
    public function atLeast(int $count): array
    {
        return array_map($this->at(...), range(0, max(1, $count, count($this->given)) - 1));
    }
}
