<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Noise\Field;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** Ink that flakes off from its edges inwards, in bites of a tenth of an inch along some stretches; far from an edge it holds. */
final class ChippedEdges implements Texture
{
    public static function kind(): string
    {
        return 'chipped-edges';
    }

    public static function followsEdges(): bool
    {
        return true;
    }

    public static function field(int $seed): Image
    {
        // A coarse field leaves whole stretches of an edge intact; a fine one shapes the bites.
        $stretches = Field::clouds($seed, 300, 2)->linearByte(0.5);
        $bites = Field::clouds($seed + 11, 60, 2)->linearByte(0.3)->plus(Field::grain($seed, 5.0)->linearByte(0.2));

        return Lookup::equalised($stretches->plus($bites)->linearByte(1))->settled();
    }
}
