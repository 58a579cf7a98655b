<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\Revision;

/** One revision of a job's sheet. */
final readonly class Version extends Answer
{
    public function __construct(
        public int $revision,
        /** Its number, counted from 1. */
        public int $number,
        public string $at,
        public string $who,
        public int $layers,
        public bool $current,
    ) {}

    public static function of(Revision $revision, int $number, ?int $head): self
    {
        return new self($revision->id, $number, $revision->created_at->toIso8601String(), $revision->user->name ?? '', count($revision->read()->layers), $revision->id === $head);
    }
}
