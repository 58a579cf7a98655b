<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

enum Flip: string
{
    case None = 'none';
    case Across = 'across';
    case Down = 'down';
    case Both = 'both';

    public function x(): int
    {
        return $this === self::Across || $this === self::Both ? -1 : 1;
    }

    public function y(): int
    {
        return $this === self::Down || $this === self::Both ? -1 : 1;
    }
}
