<?php

declare(strict_types=1);

namespace TallCrow\Effect;

enum ParameterKind: string
{
    case Length = 'length';
    case Share = 'share';
    case Number = 'number';
    case Angle = 'angle';
    case Colour = 'colour';
    case Colours = 'colours';
    case Choice = 'choice';
    case Words = 'words';
    case Font = 'font';
    case Picture = 'picture';
    case Scribbles = 'scribbles';

    /** Whether its values may refer to swatches of the job. */
    public function isColour(): bool
    {
        return $this === self::Colour || $this === self::Colours;
    }
}
