<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** Planned designs for an event, with the dates by which they must be gathered, drawn and listed. */
final readonly class PlannedCard extends Answer
{
    /** @param  ?string  $ends  when it is finished if nothing is dropped; null where it is dropped or done */
    public function __construct(
        public int $id,
        public string $title,
        public string $event,
        public string $on,
        public int $designs,
        public int $listWeeks,
        public string $listBy,
        public string $designBy,
        public string $gatherBy,
        public ?string $ends,
        public bool $late,
        public bool $drop,
        public bool $dropped,
        public bool $done,
        public ?int $job,
    ) {}
}
