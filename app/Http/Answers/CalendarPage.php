<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A shop's calendar and plan. */
final readonly class CalendarPage extends Answer
{
    /**
     * @param  list<OccasionCard>  $occasions
     * @param  list<PlannedCard>  $plan
     * @param  list<WeekLoad>  $weeks  from this week on
     * @param  list<string>  $countries  whose days are shown
     * @param  list<string>  $known  countries that have days of their own
     * @param  list<LeadWeeks>  $leads
     * @param  list<HouseLead>  $houses
     * @param  list<StageHours>  $hours  none where no design was finished lately
     */
    public function __construct(
        public array $occasions,
        public array $plan,
        public array $weeks,
        public float $aWeek,
        /** The measured rate, beside the one stated by the seller. */
        public float $logged,
        public bool $isSaid,
        public array $countries,
        public array $known,
        public array $leads,
        public array $houses,
        public array $hours,
        public int $design,
        public int $gather,
        /** URL of the feed; empty if there is none. */
        public string $feed,
    ) {}
}
