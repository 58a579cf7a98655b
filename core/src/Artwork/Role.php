<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Effect\Inking\Join;

/** Whether a layer prints, or takes away the ink of all that lies below it in its group. */
final readonly class Role
{
    private function __construct(
        public bool $knockout,
        /** Cloth left free about the layer's ink, in inches. */
        public float $gap,
        public Join $join,
    ) {}

    public static function ink(): self
    {
        return new self(false, 0.0, Join::Round);
    }

    public static function knockout(float $gap, Join $join = Join::Round): self
    {
        return new self(true, $gap, $join);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return $this->knockout ? ['kind' => 'knockout', 'gap' => $this->gap, 'join' => $this->join->value] : ['kind' => 'ink'];
    }
}
