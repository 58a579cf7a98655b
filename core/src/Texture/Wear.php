<?php

declare(strict_types=1);

namespace TallCrow\Texture;

/** One line of distress: ink is taken away, so that the cloth shows whatever its colour. */
final readonly class Wear
{
    /** @param  list<string>  $shielded ids of layers that keep their ink */
    public function __construct(
        public string $texture,
        /** Share of an even surface that is taken, 0 to 0.9. */
        public float $amount,
        /** 1 is the texture's own size. */
        public float $scale,
        public int $seed,
        public bool $inverted,
        public array $shielded,
        public bool $on,
    ) {}

    public function withAmount(float $amount): self
    {
        return new self($this->texture, $amount, $this->scale, $this->seed, $this->inverted, $this->shielded, $this->on);
    }

    public function withScale(float $scale): self
    {
        return new self($this->texture, $this->amount, $scale, $this->seed, $this->inverted, $this->shielded, $this->on);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'texture' => $this->texture, 'amount' => $this->amount, 'scale' => $this->scale, 'seed' => $this->seed,
            'inverted' => $this->inverted, 'shielded' => $this->shielded, 'on' => $this->on,
        ];
    }
}
