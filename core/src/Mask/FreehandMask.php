<?php

declare(strict_types=1);

namespace TallCrow\Mask;

use TallCrow\Geometry\Path;

/** A closed freehand line; its points are shares (0 to 1) of the layer's box. */
final readonly class FreehandMask implements Mask
{
    use HasUsual;

    public const MOST_POINTS = 2000;

    /** @param  list<array{float, float}>  $points */
    public function __construct(
        public array $points,
        /** Width of the soft edge, in inches. */
        public float $feather,
        public Usual $usual = new Usual,
    ) {}

    /** Outline in shares of the box. */
    public function outline(): Path
    {
        return count($this->points) < 3 ? Path::empty() : Path::polygon($this->points);
    }

    public function isDrawn(): bool
    {
        return true;
    }

    public function isSoft(): bool
    {
        return $this->feather > 0;
    }

    public function scaled(float $by): static
    {
        return new self($this->points, min(self::MOST_FEATHER, $this->feather * $by), $this->usual);
    }

    public function hard(): static
    {
        return new self($this->points, 0.0, $this->usual);
    }

    public function toArray(): array
    {
        return ['kind' => 'freehand', 'points' => $this->points, 'feather' => $this->feather] + $this->usual->toArray();
    }
}
