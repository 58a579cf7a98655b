<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

/** Which part of a piece a fill is for. */
enum Part: string
{
    case All = 'all';
    case RightHalves = 'the right half of each letter';
    case LeftHalves = 'the left half of each letter';
    case TopHalves = 'the top half of each letter';
    case BottomHalves = 'the bottom half of each letter';
    case SecondLetters = 'every second letter';
    case SecondWords = 'every second word';
    case Letter = 'one letter';
    case Word = 'one word';
    case Line = 'one line';

    public function isHalf(): bool
    {
        return in_array($this, [self::RightHalves, self::LeftHalves, self::TopHalves, self::BottomHalves], true);
    }
}
