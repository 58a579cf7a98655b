<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Effect\Inking\Inking;

/** Determines how an outline is inked. */
interface Inks extends Effect
{
    public static function order(): InkOrder;

    public function ink(Inking $inking): Inking;
}
