<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A caution about the words of a sheet, and which register to search. */
final readonly class CautionTold extends Answer
{
    public function __construct(
        public string $kind,
        public string $says,
        public string $register,
    ) {}
}
