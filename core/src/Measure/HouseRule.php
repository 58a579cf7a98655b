<?php

declare(strict_types=1);

namespace TallCrow\Measure;

/** The least effective ppi that a print house accepts. Both rules are common practice. */
enum HouseRule: string
{
    case Strict300 = 'strict-300';
    case Accept200 = 'accept-200';

    public function least(): Ppi
    {
        return Ppi::of($this === self::Strict300 ? 300 : 200);
    }

    public function says(): string
    {
        return $this === self::Strict300 ? 'strict 300' : 'accept 200';
    }
}
