<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\Collection;

/** Pieces of the shelf that the seller keeps together under a name. */
final readonly class CollectionCard extends Answer
{
    public function __construct(
        public int $id,
        public string $name,
        public int $pieces,
    ) {}

    public static function of(Collection $collection): self
    {
        return new self($collection->id, $collection->name, $collection->assets()->whereNull('binned_at')->count());
    }
}
