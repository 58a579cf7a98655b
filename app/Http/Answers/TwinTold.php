<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A possible duplicate on the shelf. */
final readonly class TwinTold extends Answer
{
    public function __construct(
        public int $id,
        public string $title,
        /** The asset it resembles. */
        public AssetCard $of,
        /** Whether the files are identical; otherwise the pictures look alike. */
        public bool $same,
    ) {}
}
