<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

use TallCrow\Artwork\Reading;

/**
 * On which day of a year something is: `{"month": 7, "day": 4}`, `{"month": 5, "weekday": 7, "nth": 2}` (Monday is 1, -1 the last), `{"easter": -47}`,
 * `{"moon": "full", "month": 9}`; each with `"plus"` days after it.
 */
final readonly class DayRule
{
    private function __construct(
        private ?int $month,
        private ?int $day,
        private ?int $weekday,
        private int $nth,
        private ?int $easter,
        private ?string $moon,
        private int $plus,
    ) {}

    public static function read(Reading $node): self
    {
        $node = $node->knows('month', 'day', 'weekday', 'nth', 'easter', 'moon', 'plus');
        $whole = fn (string $key, int $least, int $most): ?int => $node->has($key) ? $node->integer($key, $least, $most) : null;
        $rule = new self($whole('month', 1, 12), $whole('day', 1, 31), $whole('weekday', 1, 7), $whole('nth', -5, 5) ?? 1, $whole('easter', -100, 250), $node->has('moon') ? $node->word('moon', ['full', 'new']) : null, $whole('plus', -366, 366) ?? 0);
        if ($rule->easter === null && ($rule->month === null || ($rule->moon === null && $rule->weekday === null && $rule->day === null))) {
            $node->fault('names no day: a month with a day, a weekday or a moon, or days from Easter');
        }

        return $rule;
    }

    /** null in a year that has no such day. */
    public function in(int $year): ?\DateTimeImmutable
    {
        $day = $this->plain($year);

        return $day === null || $this->plus === 0 ? $day : $day->add(\DateInterval::createFromDateString("$this->plus days") ?: throw new \LogicException("No days: $this->plus."));
    }

    /** @return array<string, int|string> */
    public function toArray(): array
    {
        return array_filter([
            'month' => $this->month, 'day' => $this->day, 'weekday' => $this->weekday, 'nth' => $this->weekday === null ? null : $this->nth, 'easter' => $this->easter, 'moon' => $this->moon, 'plus' => $this->plus === 0 ? null : $this->plus,
        ], fn (int|string|null $value): bool => $value !== null);
    }

    private function plain(int $year): ?\DateTimeImmutable
    {
        if ($this->easter !== null) {
            return Easter::of($year)->modify(sprintf('%+d days', $this->easter));
        }
        $month = $this->month ?? 1;
        if ($this->moon !== null) {
            return array_values(array_filter(Moon::days($year, $this->moon === 'full'), fn (\DateTimeImmutable $day): bool => (int) $day->format('n') === $month))[0] ?? null;
        }
        if ($this->weekday === null) {
            return checkdate($month, $this->day ?? 1, $year) ? Day::on($year, $month, $this->day ?? 1) : null;
        }

        return $this->nth($year, $month, $this->weekday);
    }

    private function nth(int $year, int $month, int $weekday): ?\DateTimeImmutable
    {
        $last = (int) Day::on($year, $month, 1)->format('t');
        if ($this->nth < 0) {
            $end = Day::on($year, $month, $last);
            $day = $last - ((int) $end->format('N') - $weekday + 7) % 7 + 7 * ($this->nth + 1);
        } else {
            $day = 1 + ($weekday - (int) Day::on($year, $month, 1)->format('N') + 7) % 7 + 7 * ($this->nth - 1);
        }

        return $day >= 1 && $day <= $last ? Day::on($year, $month, $day) : null;
    }
}
