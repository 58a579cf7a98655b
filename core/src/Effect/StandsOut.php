<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** A line that lays something in a colour of its own: a new one is to be seen at once, on the cloths of the job. */
interface StandsOut extends Effect
{
    /** Whether its ink lies beside or over the piece's own, and must differ from that, too; else it takes its place. */
    public static function liesBeside(): bool;
}
