<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Brief;

/** The requirements for a sheet: the rule of its brief, or those of the print houses that it is sent to. Lengths are in inches on the sheet. */
final readonly class Demands
{
    /**
     * @param  string  $says  who asks, as in `the rule "strict 300"`
     * @param  float  $leastPpi  least effective ppi of pictures at their size on the sheet
     * @param  list<Finding>  $findings  findings from the requirements themselves
     */
    public function __construct(
        public string $says,
        public float $leastPpi,
        public Method $method,
        public array $findings = [],
    ) {}

    public static function of(Brief $brief): self
    {
        return new self(sprintf('the rule "%s"', $brief->rule->says()), $brief->rule->least()->value, Method::of($brief->method));
    }
}
