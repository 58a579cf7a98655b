<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** The options of a repeat. */
final readonly class Repeats extends Answer
{
    /**
     * @param  list<string>  $kinds
     * @param  list<string>  $facings
     * @param  list<string>  $changes
     */
    public function __construct(
        public array $kinds,
        public array $facings,
        public array $changes,
        public int $most,
    ) {}
}
