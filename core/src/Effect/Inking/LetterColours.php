<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

use TallCrow\Colour\Srgb;

/** A colour for each letter: repeating in turn, or as a ramp. */
final readonly class LetterColours implements Paint
{
    /** @param  list<Srgb>  $colours */
    public function __construct(
        public array $colours,
        public bool $blended,
    ) {}

    /** @param  int  $of  number of letters */
    public function colour(int $letter, int $of): Srgb
    {
        $count = count($this->colours);
        if (! $this->blended) {
            return $this->colours[$letter % $count];
        }
        $at = $of < 2 ? 0.0 : $letter / ($of - 1) * ($count - 1);
        $from = min($count - 1, (int) floor($at));

        return $this->colours[$from]->mixed($this->colours[min($count - 1, $from + 1)], $at - $from);
    }
}
