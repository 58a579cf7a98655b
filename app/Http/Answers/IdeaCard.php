<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\Idea;

/** Something to make a design of. */
final readonly class IdeaCard extends Answer
{
    public function __construct(
        public int $id,
        public string $words,
        public string $event,
        public string $niche,
        public string $inspiredBy,
        public string $link,
        /** Of a picture of the shelf. */
        public ?int $asset,
        public ?int $job,
    ) {}

    public static function of(Idea $idea): self
    {
        return new self($idea->id, $idea->words, $idea->event, $idea->niche, $idea->inspired_by, $idea->link, $idea->asset_id, $idea->print_job_id);
    }
}
