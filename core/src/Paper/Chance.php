<?php

declare(strict_types=1);

namespace TallCrow\Paper;

/**
 * Seeded random numbers.
 *
 * @internal
 */
final readonly class Chance
{
    private const STEPS = 1_000_000;

    private function __construct(private \Random\Randomizer $random) {}

    public static function seeded(int $seed): self
    {
        return new self(new \Random\Randomizer(new \Random\Engine\Mt19937($seed)));
    }

    public function of(float $from, float $to): float
    {
        return $from + ($to - $from) * $this->random->getInt(0, self::STEPS) / self::STEPS;
    }

    public function whole(int $from, int $to): int
    {
        return $this->random->getInt($from, $to);
    }
}
