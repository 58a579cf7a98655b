<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** The files of one batch. */
final readonly class BatchCard extends Answer
{
    /** @param  int  $left  that failed or were cancelled */
    public function __construct(
        public string $id,
        public int $all,
        public int $done,
        public int $live,
        public int $paused,
        public int $left,
        public string $createdAt,
    ) {}
}
