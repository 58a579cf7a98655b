<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Rights\Reason;

/** One reason for or against a use, with its source. */
final readonly class RightsReason extends Answer
{
    public function __construct(
        public string $ruling,
        public string $says,
        public string $clause,
        public string $quote,
    ) {}

    public static function of(Reason $reason): self
    {
        return new self($reason->ruling->value, $reason->says, $reason->clause, $reason->quote);
    }
}
