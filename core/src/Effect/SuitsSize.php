<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** A line whose usual lengths are those for letters an inch tall: a new one on smaller letters begins with less. */
interface SuitsSize extends Effect
{
    /** @return non-empty-list<string> names of its parameters that grow with the letters */
    public static function growing(): array;
}
