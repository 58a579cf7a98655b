<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** One reason for or against a use. */
final readonly class Reason
{
    public function __construct(
        public Ruling $ruling,
        /** Null if it does not come from a licence fact but from dates, seats or missing proof. */
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
