<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** An effect with a colour of its own. A new one gets a colour that is visible on the cloths of the job. */
interface StandsOut extends Effect
{
    /** Whether its ink lies beside or over the piece's own ink and must differ from it as well; otherwise it replaces the piece's ink. */
    public static function liesBeside(): bool;
}
