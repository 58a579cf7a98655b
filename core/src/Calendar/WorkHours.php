<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/**
 * Hours of work, estimated from recorded actions. An action lasted from the same person's previous action until itself; after a break, when the start is
 * unknown, a few minutes are assumed (our choice; common practice in such time sheets).
 */
final readonly class WorkHours
{
    /** A pause of more seconds than this counts as a break. */
    public const REST = 900;

    /** Seconds assumed for the first action after a break. */
    public const FIRST = 300;

    /**
     * @param  array<string, float>  $byStage  hours
     * @param  array<int, float>  $byDesign  hours
     */
    private function __construct(public array $byStage, public array $byDesign) {}

    /** @param  list<Act>  $acts  in any order */
    public static function of(array $acts): self
    {
        usort($acts, fn (Act $one, Act $other): int => [$one->who, $one->at] <=> [$other->who, $other->at]);
        $byStage = array_fill_keys(array_map(fn (WorkStage $stage): string => $stage->value, WorkStage::cases()), 0.0);
        $byDesign = [];
        $before = null;
        foreach ($acts as $act) {
            $since = $before?->who === $act->who ? $act->at - $before->at : self::REST + 1;
            $hours = ($since > self::REST ? self::FIRST : $since) / 3600;
            $byStage[$act->stage->value] += $hours;
            if ($act->design !== null) {
                $byDesign[$act->design] = ($byDesign[$act->design] ?? 0.0) + $hours;
            }
            $before = $act;
        }

        return new self($byStage, $byDesign);
    }
}
