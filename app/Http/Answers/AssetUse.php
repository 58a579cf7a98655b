<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A design that names a piece of the shelf. */
final readonly class AssetUse extends Answer
{
    public function __construct(
        public int $job,
        public string $title,
        /** False where it stands on lines that are switched off only. */
        public bool $prints,
    ) {}
}
