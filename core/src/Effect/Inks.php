<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** Says with what ink an outline is printed. */
interface Inks extends Effect
{
    public function ink(Inking $inking): Inking;
}
