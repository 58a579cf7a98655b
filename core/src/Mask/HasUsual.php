<?php

declare(strict_types=1);

namespace TallCrow\Mask;

/** Implements what all masks have in common. */
trait HasUsual
{
    public function isOn(): bool
    {
        return $this->usual->on;
    }

    public function isInverted(): bool
    {
        return $this->usual->inverted;
    }

    public function joining(): Joining
    {
        return $this->usual->joining;
    }

    public function hasRingsAround(): bool
    {
        return $this->usual->rings === MaskRings::Around && ! $this->isSoft();
    }

    public function files(): array
    {
        return [];
    }

    public function clipsTo(): ?string
    {
        return null;
    }

    public function isDrawn(): bool
    {
        return false;
    }

    public function isSoft(): bool
    {
        return false;
    }

    public function hard(): static
    {
        return $this;
    }
}
