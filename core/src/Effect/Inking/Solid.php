<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

use TallCrow\Colour\Srgb;

final readonly class Solid implements Paint
{
    public function __construct(public Srgb $colour) {}
}
