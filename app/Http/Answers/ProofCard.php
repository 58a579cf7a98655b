<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\Proof;
use App\Rights\ProofStore;

/** A document stored as proof of a licence. */
final readonly class ProofCard extends Answer
{
    public function __construct(
        public int $id,
        public string $name,
        public string $type,
        public int $bytes,
        public string $sha256,
        public string $cameAt,
        public bool $readable,
    ) {}

    public static function of(Proof $proof): self
    {
        return new self($proof->id, $proof->name, $proof->type, $proof->bytes, $proof->sha256, $proof->came_at->toIso8601String(), ProofStore::TYPES[$proof->type] ?? false);
    }
}
