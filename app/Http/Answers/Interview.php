<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** The questions about a licence, and the known terms of open licences. */
final readonly class Interview extends Answer
{
    /**
     * @param  list<FactQuestion>  $questions
     * @param  list<KnownTerms>  $known
     * @param  list<SpdxName>  $spdx
     */
    public function __construct(
        public array $questions,
        public array $known,
        public array $spdx,
    ) {}
}
