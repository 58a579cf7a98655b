<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\HouseRecord;

/** A print house of the shop. */
final readonly class HouseCard extends Answer
{
    /** @param  list<HousePlaceCard>  $places */
    public function __construct(
        public int $id,
        public string $name,
        public string $names,
        public string $notes,
        public array $places,
        /** The service that takes its files; empty if they are delivered by hand. */
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
