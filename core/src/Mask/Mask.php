<?php

declare(strict_types=1);

namespace TallCrow\Mask;

/** A mask tells where a layer shows. Masks are combined in order. */
interface Mask
{
    /** Greatest width of a soft edge, in inches. */
    public const MOST_FEATHER = 4.0;

    public function isOn(): bool;

    /** Whether the mask is inverted. */
    public function isInverted(): bool;

    /** How it combines with the masks before it. */
    public function joining(): Joining;

    /** Whether rings go around what it leaves, instead of being cut; none can go around a soft edge. */
    public function hasRingsAround(): bool;

    /** @return list<string> names of the picture files that it uses */
    public function files(): array;

    /** Id of the layer whose ink gives its shape, for a clip mask. */
    public function clipsTo(): ?string;

    /** Whether it was drawn by hand on the garment, where all copies of a piece are visible. */
    public function isDrawn(): bool;

    /** The same mask with a hard edge. */
    public function hard(): static;

    /** Whether it has a soft edge. */
    public function isSoft(): bool;

    /** Scales every length. */
    public function scaled(float $by): static;

    /** @return array<string, mixed> */
    public function toArray(): array;
}
