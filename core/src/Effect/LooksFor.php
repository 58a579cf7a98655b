<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** An effect that looks for something in the ink, and changes nothing if it finds none. */
interface LooksFor extends Effect
{
    /** Describes the case that nothing was found; continues a sentence that begins "A line of the moth". */
    public function findsNothing(): string;
}
