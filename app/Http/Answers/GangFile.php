<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** One sheet of film as a file. */
final readonly class GangFile extends Answer
{
    public function __construct(
        public string $file,
        public int $width,
        public int $height,
        public float $inchesWide,
        public float $inchesLong,
        public int $bytes,
        public string $sha256,
    ) {}
}
