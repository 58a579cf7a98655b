<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\JournalEntry;
use App\Models\User;

/** A line of the journal. */
final readonly class Deed extends Answer
{
    public function __construct(
        public int $id,
        public string $at,
        public string $who,
        public string $what,
        public string $where,
    ) {}

    public static function of(JournalEntry $entry): self
    {
        $who = $entry->causer;
        $where = $entry->properties?->get('where');

        return new self($entry->id, $entry->created_at?->toIso8601String() ?? '', $who instanceof User ? $who->name : 'nobody signed in', $entry->description, is_string($where) ? $where : '');
    }
}
