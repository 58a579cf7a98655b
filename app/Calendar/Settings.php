<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Models\Shop;

/** A shop's lead times and the countries whose observances it shows. Lead times are in weeks; the defaults are common practice. */
final readonly class Settings
{
    public const KINDS = ['holiday', 'family', 'season', 'awareness', 'fun', 'own'];

    public const USUAL = ['holiday' => 8, 'family' => 8, 'season' => 6, 'awareness' => 6, 'fun' => 6, 'own' => 4];

    /**
     * @param  list<string>  $countries  ISO 3166-1
     * @param  array<string, int>  $lead  weeks before the day by which a design is listed, by kind of event
     * @param  array<int, int>  $ahead  weeks more that listing at a house takes, by its record
     * @param  int  $design  weeks before listing by which it is drawn
     * @param  int  $gather  weeks before that by which fonts and art are there
     * @param  ?float  $aWeek  designs that are finished in a week, as the seller says; null for what the log tells
     */
    private function __construct(
        public array $countries,
        public array $lead,
        public array $ahead,
        public int $design,
        public int $gather,
        public ?float $aWeek,
    ) {}

    public static function of(Shop $shop): self
    {
        $kept = $shop->calendar ?? [];
        $lead = is_array($kept['lead'] ?? null) ? $kept['lead'] : [];
        $ahead = is_array($kept['ahead'] ?? null) ? $kept['ahead'] : [];
        $whole = fn (mixed $value, int $otherwise): int => is_numeric($value) ? max(0, min(52, (int) $value)) : $otherwise;

        return new self(
            array_values(array_filter(is_array($kept['countries'] ?? null) ? $kept['countries'] : ['US', 'GB'], is_string(...))),
            array_combine(self::KINDS, array_map(fn (string $kind): int => $whole($lead[$kind] ?? null, self::USUAL[$kind]), self::KINDS)),
            array_combine(array_map(intval(...), array_keys($ahead)), array_map(fn (mixed $weeks): int => $whole($weeks, 0), array_values($ahead))),
            $whole($kept['design'] ?? null, 1), $whole($kept['gather'] ?? null, 1), is_numeric($kept['aWeek'] ?? null) ? max(0.1, (float) $kept['aWeek']) : null,
        );
    }
}
