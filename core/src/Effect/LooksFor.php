<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** A line that looks for something in the ink, and leaves all of it as it is where there is none. */
interface LooksFor extends Effect
{
    /** What it does and does not find: follows "A line of the moth". */
    public function findsNothing(): string;
}
