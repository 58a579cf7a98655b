<?php

declare(strict_types=1);

namespace TallCrow\Mask;

/** Answers for the part that all masks share. */
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
}
