<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Type\Setting;

/** Acts on words before they are outlines. */
interface SetsType extends Effect
{
    public function set(Setting $setting): Setting;
}
