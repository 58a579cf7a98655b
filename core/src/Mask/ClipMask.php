<?php

declare(strict_types=1);

namespace TallCrow\Mask;

/** Shows a layer only where another one has ink. */
final readonly class ClipMask implements Mask
{
    use HasUsual;

    public function __construct(
        /** Id of the layer whose ink it is; that layer need not be printed. */
        public string $layer,
        public Usual $usual = new Usual,
    ) {}

    public function clipsTo(): string
    {
        return $this->layer;
    }

    public function scaled(float $by): static
    {
        return $this;
    }

    public function toArray(): array
    {
        return ['kind' => 'clip', 'layer' => $this->layer] + $this->usual->toArray();
    }
}
