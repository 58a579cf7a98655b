<?php

declare(strict_types=1);

namespace TallCrow\Effect\Warp;

use TallCrow\Effect\Parameter;
use TallCrow\Effect\Values;

/** The strength of a warp: a share of a measure of the piece, or an absolute length in inches. */
final readonly class Amount
{
    private function __construct(
        public BentBy $by,
        private float $share,
        private float $inches,
    ) {}

    /** @return list<Parameter> */
    public static function parameters(float $least, float $most, float $default, float $rise = 1.0): array
    {
        return [
            Parameter::choice('by', BentBy::class, BentBy::Percent),
            Parameter::share('bend', $least, $most, $default),
            Parameter::length('rise', $least < 0 ? -20 : 0, 20, $rise),
        ];
    }

    public static function from(Values $values): self
    {
        return new self(BentBy::from($values->word('by')), $values->number('bend'), $values->number('rise'));
    }

    /** The strength in inches; a share refers to the given measure. */
    public function of(float $whole): float
    {
        return $this->isMeasured() ? $this->inches : $this->share * $whole;
    }

    public function isMeasured(): bool
    {
        return $this->by === BentBy::Inches;
    }
}
