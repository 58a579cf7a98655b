<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\Idea;

/** An idea for a design. */
final readonly class IdeaCard extends Answer
{
    public function __construct(
        public int $id,
        public string $words,
        public string $event,
        public string $niche,
        public string $inspiredBy,
        public string $link,
        /** The asset id of its picture. */
        public ?int $asset,
        public ?int $job,
    ) {}

    public static function of(Idea $idea): self
    {
        return new self($idea->id, $idea->words, $idea->event, $idea->niche, $idea->inspired_by, $idea->link, $idea->asset_id, $idea->print_job_id);
    }
}
