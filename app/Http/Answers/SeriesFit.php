<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Series\FitRule;

/** The constraints for fitting a slot's words, in inches. */
final readonly class SeriesFit extends Answer
{
    public function __construct(
        public string $keep,
        public float $least,
        public ?float $most,
        public ?float $widest,
        public string $within,
        public float $tighter,
        public int $lines,
        public string $long,
        public string $instead,
    ) {}

    public static function of(FitRule $rule): self
    {
        return new self($rule->keep->value, $rule->least, $rule->most, $rule->widest, $rule->within, $rule->tighter, $rule->lines, $rule->long, $rule->instead);
    }
}
