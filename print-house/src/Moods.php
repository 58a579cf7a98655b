<?php

declare(strict_types=1);

namespace PrintHouse;

/** How the house is today; a queue of moods can be set for tests, and a moody house has bad moments by itself. */
enum Moods: string
{
    case Fine = 'fine';
    case Slow = 'slow';
    case Down = 'down';

    /** Too many at once. */
    case Busy = 'busy';

    /** Takes the file and breaks off before it answers. */
    case Broken = 'broken';

    /** Of the n-th file that is brought to a moody house. */
    public static function ofTurn(int $turn): self
    {
        return match (true) {
            $turn % 7 === 3 => self::Down,
            $turn % 7 === 5 => self::Busy,
            $turn % 11 === 6 => self::Broken,
            $turn % 3 === 2 => self::Slow,
            default => self::Fine,
        };
    }
}
