<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Measure\HouseRule;

/** A house's rule for the ppi of pictures. */
final readonly class Rule extends Answer
{
    public function __construct(
        public HouseRule $value,
        public string $says,
        public float $least,
    ) {}

    public static function of(HouseRule $rule): self
    {
        return new self($rule, $rule->says(), $rule->least()->value);
    }
}
