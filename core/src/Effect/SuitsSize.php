<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** An effect whose default lengths suit letters of one inch; a new one on smaller letters gets smaller values. */
interface SuitsSize extends Effect
{
    /** @return non-empty-list<string> names of the parameters that scale with the letters */
    public static function growing(): array;
}
