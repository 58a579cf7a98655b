<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Calendar\Due;

/** A task. */
final readonly class TodayLine extends Answer
{
    public function __construct(
        public bool $late,
        public string $says,
        public string $on,
        public string $to,
    ) {}

    public static function of(Due $due): self
    {
        return new self($due->late, $due->says, $due->on->format('Y-m-d'), $due->to);
    }
}
