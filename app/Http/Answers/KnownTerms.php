<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Rights\Fact;
use TallCrow\Rights\Facts;
use TallCrow\Rights\KnownLicences;

/** The prefilled terms of an open licence. */
final readonly class KnownTerms extends Answer
{
    /** @param  list<FactCard>  $facts */
    public function __construct(
        public string $spdx,
        public string $name,
        public array $facts,
    ) {}

    public static function of(string $spdx): self
    {
        $facts = (KnownLicences::facts($spdx) ?? Facts::none())->all();

        return new self($spdx, KnownLicences::called($spdx), array_map(FactCard::of(...), array_values(array_filter($facts, fn (Fact $fact): bool => ! $fact->isUnknown()))));
    }
}
