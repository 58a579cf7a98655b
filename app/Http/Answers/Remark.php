<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\Comment;
use App\Models\Verdict;

/** A comment on a job and on one of its revisions. */
final readonly class Remark extends Answer
{
    public function __construct(
        public int $id,
        public string $who,
        public Verdict $verdict,
        public string $text,
        public int $revision,
        public string $at,
    ) {}

    public static function of(Comment $comment): self
    {
        return new self($comment->id, $comment->user->name ?? 'somebody who left', $comment->verdict, $comment->text, $comment->revision_id, $comment->created_at->toIso8601String());
    }
}
