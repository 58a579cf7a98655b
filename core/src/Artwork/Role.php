<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Geometry\Join;

/** Whether a layer prints, clears the ink of layers below it in its group, or both. */
final readonly class Role
{
    /** Greatest gap of a knockout in inches. */
    public const MOST_GAP = 2.0;

    /** @param  list<string>  $from  ids of the layers in its own list that it clears; empty for all below */
    public function __construct(
        public RoleKind $kind = RoleKind::Ink,
        /** Width of bare cloth around the layer's ink, in inches. */
        public float $gap = 0.0,
        public Join $join = Join::Round,
        public array $from = [],
        /** Whether it clears everything inside its outer contours, including counters. */
        public bool $whole = false,
    ) {}

    public static function ink(): self
    {
        return new self;
    }

    /** @param  list<string>  $from */
    public static function knockout(float $gap, Join $join = Join::Round, array $from = [], bool $whole = false): self
    {
        return new self(RoleKind::Knockout, $gap, $join, $from, $whole);
    }

    /** @param  list<string>  $from */
    public static function setInGap(float $gap, Join $join = Join::Round, array $from = [], bool $whole = false): self
    {
        return new self(RoleKind::SetInGap, $gap, $join, $from, $whole);
    }

    public function scaled(float $by): self
    {
        return new self($this->kind, min(self::MOST_GAP, $this->gap * $by), $this->join, $this->from, $this->whole);
    }

    public function takesAway(): bool
    {
        return $this->kind !== RoleKind::Ink;
    }

    public function prints(): bool
    {
        return $this->kind !== RoleKind::Knockout;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return $this->takesAway()
            ? ['kind' => 'knockout', 'gap' => $this->gap, 'join' => $this->join->value, 'from' => $this->from, 'sets' => $this->prints(), 'whole' => $this->whole]
            : ['kind' => 'ink'];
    }
}
