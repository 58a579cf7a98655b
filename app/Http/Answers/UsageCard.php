<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Rights\Usage;

/** The intended use of a design. */
final readonly class UsageCard extends Answer
{
    /** @param  list<string>  $territories  none for everywhere */
    public function __construct(
        public string $where,
        public int $units,
        public array $territories,
        public int $seats,
        public bool $asMark,
    ) {}

    public static function of(Usage $usage): self
    {
        return new self($usage->where, $usage->units, $usage->territories, $usage->seats, $usage->asMark);
    }
}
