<?php

declare(strict_types=1);

namespace TallCrow\Effect;

use TallCrow\Type\Setting;

/** Acts on text before it is converted to outlines. */
interface SetsType extends Effect
{
    public function set(Setting $setting): Setting;
}
