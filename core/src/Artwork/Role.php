<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Effect\Inking\Join;

/** Whether a layer prints, or takes away the ink of what lies below it in its group. */
final readonly class Role
{
    /** @param  list<string>  $from  ids of the layers of its own list that it takes from; none for all below */
    private function __construct(
        public bool $knockout,
        /** Cloth left free about the layer's ink, in inches. */
        public float $gap,
        public Join $join,
        public array $from = [],
        /** The layer prints too, set in its own gap. */
        public bool $sets = false,
    ) {}

    public static function ink(): self
    {
        return new self(false, 0.0, Join::Round);
    }

    /** @param  list<string>  $from */
    public static function knockout(float $gap, Join $join = Join::Round, array $from = [], bool $sets = false): self
    {
        return new self(true, $gap, $join, $from, $sets);
    }

    public function scaled(float $by): self
    {
        return new self($this->knockout, $this->gap * $by, $this->join, $this->from, $this->sets);
    }

    public function prints(): bool
    {
        return ! $this->knockout || $this->sets;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return $this->knockout
            ? ['kind' => 'knockout', 'gap' => $this->gap, 'join' => $this->join->value, 'from' => $this->from, 'sets' => $this->sets]
            : ['kind' => 'ink'];
    }
}
