<?php

declare(strict_types=1);

namespace TallCrow\Mask;

/** One line that says where a layer is seen. Masks work in order, each on what those before it left. */
interface Mask
{
    public function isOn(): bool;

    /** Lets through what it would hold back. */
    public function isInverted(): bool;

    /** How it joins those before it. */
    public function joining(): Joining;

    /** Every length on it sized by one factor. */
    public function scaled(float $by): static;

    /** As it lies on a piece that is mirrored from side to side. */
    public function mirrored(): static;

    /** @return array<string, mixed> */
    public function toArray(): array;
}
