<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A design that uses an asset. */
final readonly class AssetUse extends Answer
{
    public function __construct(
        public int $job,
        public string $title,
        /** False if only layers or effects that are switched off use it. */
        public bool $prints,
    ) {}
}
