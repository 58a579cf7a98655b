<?php

declare(strict_types=1);

namespace TallCrow\Effect\Inking;

/** The part of a piece that a fill applies to. */
enum Part: string
{
    case All = 'all';
    case RightHalves = 'half-right';
    case LeftHalves = 'half-left';
    case TopHalves = 'half-top';
    case BottomHalves = 'half-bottom';
    case SecondLetters = 'every-second-letter';
    case SecondWords = 'every-second-word';
    case Letter = 'one-letter';
    case Word = 'one-word';
    case Line = 'one-line';

    public function isHalf(): bool
    {
        return in_array($this, [self::RightHalves, self::LeftHalves, self::TopHalves, self::BottomHalves], true);
    }
}
