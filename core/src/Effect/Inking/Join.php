<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

/** How the outside of a corner is made, as in SVG's stroke-linejoin. */
enum Join: string
{
    case Round = 'round';
    case Bevel = 'bevel';
    case Mitre = 'mitre';

    public function svg(): string
    {
        return $this === self::Mitre ? 'miter' : $this->value;
    }
}
