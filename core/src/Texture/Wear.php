<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Mask\Stroke;

/** One line of distress: ink is taken away, so that the cloth shows whatever its colour. */
final readonly class Wear
{
    /**
     * @param  list<string>  $shielded  ids of layers that keep their ink
     * @param  list<Stroke>  $strokes  of a brush that wears more or (restoring) spares ink, in shares of what is worn
     */
    public function __construct(
        public string $texture,
        /** Share of the ink that is taken, 0 to 0.9. */
        public float $amount,
        /** 1 is the texture's own size. */
        public float $scale,
        public int $seed,
        public bool $inverted,
        public array $shielded,
        public bool $on,
        /** Of a picture of the seller's own. */
        public string $file = '',
        /** Inches by which the texture is shifted, and degrees by which it is turned. */
        public float $x = 0.0,
        public float $y = 0.0,
        public float $turn = 0.0,
        public array $strokes = [],
    ) {}

    public function withAmount(float $amount): self
    {
        return $this->with(['amount' => $amount]);
    }

    public function withScale(float $scale): self
    {
        return $this->with(['scale' => $scale]);
    }

    public function shielding(string $id): self
    {
        return $this->with(['shielded' => array_values(array_unique([...$this->shielded, $id]))]);
    }

    public function scaled(float $by, float $scale): self
    {
        return $this->with([
            'scale' => $scale, 'x' => $this->x * $by, 'y' => $this->y * $by,
            'strokes' => array_map(fn (Stroke $stroke): Stroke => $stroke->scaled($by), $this->strokes),
        ]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'texture' => $this->texture, 'amount' => $this->amount, 'scale' => $this->scale, 'seed' => $this->seed,
            'inverted' => $this->inverted, 'shielded' => $this->shielded, 'on' => $this->on,
            'file' => $this->file, 'x' => $this->x, 'y' => $this->y, 'turn' => $this->turn,
            'strokes' => array_map(fn (Stroke $stroke): array => $stroke->toArray(), $this->strokes),
        ];
    }

    /** @param  array<string, mixed>  $changes */
    private function with(array $changes): self
    {
        // @phpstan-ignore argument.type (its own properties, but for the changes)
        return new self(...array_merge(get_object_vars($this), $changes));
    }
}
