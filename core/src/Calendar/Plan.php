<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/**
 * Schedules items one after another by due date, and tells which to drop so that as few as possible are late: the algorithm of Moore and
 * Hodgson (J. M. Moore, Management Science 15, 1968).
 */
final readonly class Plan
{
    /**
     * @param  array<array-key, \DateTimeImmutable>  $ends  the day on which each item is finished if none is dropped
     * @param  list<string>  $late  the items that would be late
     * @param  list<string>  $drop  the items to drop so that all others are on time
     * @param  array<string, int>  $weeks  the number of designs finished in each week if none is dropped, keyed by the week's Monday
     */
    private function __construct(
        public array $ends,
        public array $late,
        public array $drop,
        public array $weeks,
    ) {}

    /**
     * @param  list<PlanItem>  $items
     * @param  float  $aWeek  number of designs that the shop finishes in a week
     */
    public static function of(array $items, float $aWeek, \DateTimeImmutable $today): self
    {
        $aWeek = max(0.05, $aWeek);
        usort($items, fn (PlanItem $a, PlanItem $b): int => [$a->by, $a->id] <=> [$b->by, $b->id]);
        [$ends, $late, $weeks, $done] = [[], [], [], 0.0];
        foreach ($items as $item) {
            for ($i = 0; $i < $item->designs; $i++) {
                $monday = self::after($today, $done / $aWeek * 7)->modify('monday this week')->format('Y-m-d');
                $weeks[$monday] = ($weeks[$monday] ?? 0) + 1;
                $done++;
            }
            $ends[$item->id] = self::after($today, $done / $aWeek * 7);
            if ($ends[$item->id] > $item->by) {
                $late[] = $item->id;
            }
        }

        return new self($ends, $late, self::dropped($items, $aWeek, $today), $weeks);
    }

    /**
     * @param  list<PlanItem>  $items  in order of their due dates
     * @return list<string>
     */
    private static function dropped(array $items, float $aWeek, \DateTimeImmutable $today): array
    {
        [$kept, $dropped, $sum] = [[], [], 0];
        foreach ($items as $item) {
            $kept[] = $item;
            $sum += $item->designs;
            if (self::after($today, $sum / $aWeek * 7) > $item->by) {
                $largest = array_reduce(array_keys($kept), fn (?int $most, int $at): int => $most === null || $kept[$at]->designs > $kept[$most]->designs ? $at : $most);
                assert($largest !== null);
                $sum -= $kept[$largest]->designs;
                $dropped[] = $kept[$largest]->id;
                unset($kept[$largest]);
            }
        }

        return $dropped;
    }

    /** The day on which work that takes so many days is finished. */
    private static function after(\DateTimeImmutable $today, float $days): \DateTimeImmutable
    {
        return $today->modify(sprintf('+%d days', (int) ceil($days - 1e-9)));
    }
}
