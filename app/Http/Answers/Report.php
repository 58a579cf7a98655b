<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Preflight\Report as Reported;
use TallCrow\Preflight\Verdict;

/** What preflight measured of a revision. */
final readonly class Report extends Answer
{
    /** @param  list<Finding>  $findings */
    public function __construct(
        public int $revision,
        public Verdict $verdict,
        public array $findings,
    ) {}

    public static function of(int $revision, Reported $report): self
    {
        return new self($revision, $report->verdict(), array_map(Finding::of(...), $report->findings));
    }
}
