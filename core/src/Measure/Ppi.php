<?php

declare(strict_types=1);

namespace TallCrow\Measure;

/** Pixels per printed inch. */
final readonly class Ppi
{
    public const MIN = 1.0;

    public const MAX = 2400.0;

    private function __construct(public float $value) {}

    /** @throws UnusableMeasure outside 1 to 2400 */
    public static function of(float $value): self
    {
        if (! is_finite($value) || $value < self::MIN || $value > self::MAX) {
            throw UnusableMeasure::ppi($value);
        }

        return new self($value);
    }

    /** In whole pixels per metre, as the pHYs chunk of PNG states it: 300 ppi is 11811. */
    public function perMetre(): int
    {
        return (int) round($this->value / (Unit::MILLIMETRES_PER_INCH / 1000));
    }

    public static function fromPerMetre(int $pixels): self
    {
        return self::of($pixels * (Unit::MILLIMETRES_PER_INCH / 1000));
    }
}
