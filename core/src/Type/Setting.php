<?php

declare(strict_types=1);

namespace TallCrow\Type;

/** How words are set, before any bending. */
final readonly class Setting
{
    public function __construct(
        public Alignment $alignment,
        /** Baseline to baseline, in ems. */
        public float $leading,
        /** Added between letters, in thousandths of an em. */
        public float $tracking = 0.0,
    ) {}

    public function withTracking(float $tracking): self
    {
        return new self($this->alignment, $this->leading, $tracking);
    }
}
