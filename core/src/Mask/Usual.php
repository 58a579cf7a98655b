<?php

declare(strict_types=1);

namespace TallCrow\Mask;

/** The settings that every mask has. */
final readonly class Usual
{
    public function __construct(
        public bool $inverted = false,
        public Joining $joining = Joining::Within,
        public bool $on = true,
        public MaskRings $rings = MaskRings::Cut,
    ) {}

    /** @return array{inverted: bool, joining: string, on: bool, rings: string} */
    public function toArray(): array
    {
        return ['inverted' => $this->inverted, 'joining' => $this->joining->value, 'on' => $this->on, 'rings' => $this->rings->value];
    }
}
