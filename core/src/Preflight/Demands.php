<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Brief;

/** What a sheet is held to: the rule of its brief, or what the houses that it goes to ask for. Lengths are inches on the sheet itself. */
final readonly class Demands
{
    /**
     * @param  string  $says  who asks, as in `the rule "strict 300"`
     * @param  float  $leastPpi  of pictures at their size on the sheet
     * @param  list<Finding>  $findings  of those who ask
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
