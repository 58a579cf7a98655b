<?php

declare(strict_types=1);

namespace TallCrow\Effect;

enum ParameterKind: string
{
    case Length = 'length';
    case Share = 'share';
    case Number = 'number';
    case Colour = 'colour';
    case Choice = 'choice';
}
