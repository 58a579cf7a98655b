<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\HouseRecord;

/** A print house as the shop knows it. */
final readonly class HouseCard extends Answer
{
    /** @param  list<HousePlaceCard>  $places */
    public function __construct(
        public int $id,
        public string $name,
        public string $names,
        public string $notes,
        public array $places,
        /** That takes its files; empty where they are brought by hand. */
        public string $service,
        public string $account,
        public bool $hasToken,
    ) {}

    public static function of(HouseRecord $record): self
    {
        $house = $record->house();

        return new self($record->id, $house->name, $house->names->pattern, $house->notes, array_map(HousePlaceCard::of(...), $house->places), $record->service, $record->account, $record->token !== null);
    }
}
