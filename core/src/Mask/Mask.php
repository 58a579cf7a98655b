<?php

declare(strict_types=1);

namespace TallCrow\Mask;

/** One line that says where a layer is seen. Masks work in order, each on what those before it left. */
interface Mask
{
    /** Inches from where all is held back to where all is let through, at most. */
    public const MOST_FEATHER = 4.0;

    public function isOn(): bool;

    /** Lets through what it would hold back. */
    public function isInverted(): bool;

    /** How it joins those before it. */
    public function joining(): Joining;

    /** @return list<string> names of the pictures that it needs from the shelf */
    public function files(): array;

    /** Id of the layer whose ink it takes its shape from, if it does. */
    public function clipsTo(): ?string;

    /** Whether it was drawn by hand on the peg, where all copies of a piece are seen. */
    public function isDrawn(): bool;

    /** The same mask with no soft edge. */
    public function hard(): static;

    /** Whether it has a soft edge. */
    public function isSoft(): bool;

    /** Every length on it sized by one factor. */
    public function scaled(float $by): static;

    /** @return array<string, mixed> */
    public function toArray(): array;
}
