<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** What may be somebody's in the words of a sheet, and where to look. */
final readonly class CautionTold extends Answer
{
    public function __construct(
        public string $kind,
        public string $says,
        public string $register,
    ) {}
}
