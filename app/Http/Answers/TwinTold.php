<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A piece that was on the shelf already, as it is or nearly so. */
final readonly class TwinTold extends Answer
{
    public function __construct(
        public int $id,
        public string $title,
        /** What it is the twin of. */
        public AssetCard $of,
        /** The very same file; else a picture that looks alike. */
        public bool $same,
    ) {}
}
