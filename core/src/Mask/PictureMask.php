<?php

declare(strict_types=1);

namespace TallCrow\Mask;

/** Shows a layer as far as a picture laid over its box is light. */
final readonly class PictureMask implements Mask
{
    use HasUsual;

    public function __construct(
        public string $file,
        public Usual $usual = new Usual,
    ) {}

    public function files(): array
    {
        return $this->file === '' ? [] : [$this->file];
    }

    public function scaled(float $by): static
    {
        return $this;
    }

    public function mirrored(): static
    {
        return $this;
    }

    public function toArray(): array
    {
        return ['kind' => 'picture', 'file' => $this->file] + $this->usual->toArray();
    }
}
