<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** One thing that speaks for or against a use. */
final readonly class Reason
{
    public function __construct(
        public Ruling $ruling,
        /** Null for what is no fact of a licence: dates, seats, proof. */
        public ?FactName $fact,
        public string $says,
        public string $clause = '',
        public string $quote = '',
    ) {}

    public static function byFact(Ruling $ruling, Fact $fact, string $says): self
    {
        return new self($ruling, $fact->name, $says, $fact->clause, $fact->quote);
    }
}
