<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Rights\Fact;

/** One fact of a licence, with its source in the licence's text. */
final readonly class FactCard extends Answer
{
    public function __construct(
        public string $name,
        public string $value,
        public ?int $number,
        public string $text,
        public string $clause,
        public string $quote,
        /** In words for the seller. */
        public string $says,
    ) {}

    public static function of(Fact $fact): self
    {
        return new self($fact->name->value, $fact->value, $fact->number, $fact->text, $fact->clause, $fact->quote, $fact->says());
    }
}
