<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Calendar\Occasion;

/** An event on a day. */
final readonly class OccasionCard extends Answer
{
    public function __construct(
        public string $key,
        public string $name,
        public string $kind,
        public string $on,
        public int $days,
        /** Colour of a customary ribbon, or empty. */
        public string $ribbon,
        public string $caution,
        /** Id of the seller's own event; null for a public observance. */
        public ?int $own,
        public int $listWeeks,
    ) {}

    public static function of(Occasion $one, int $listWeeks): self
    {
        return new self($one->key, $one->name, $one->kind, $one->on->format('Y-m-d'), $one->days, $one->ribbon, $one->caution, $one->own, $listWeeks);
    }
}
