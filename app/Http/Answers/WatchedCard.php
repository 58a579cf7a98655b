<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\WatchedPhrase;

/** A phrase of the shop's watch list. */
final readonly class WatchedCard extends Answer
{
    public function __construct(
        public int $id,
        public string $phrase,
        public string $note,
        public ?string $on,
    ) {}

    public static function of(WatchedPhrase $one): self
    {
        return new self($one->id, $one->phrase, $one->note, $one->warned_on?->toDateString());
    }
}
