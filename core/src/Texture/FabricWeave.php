<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Noise\Field;
use TallCrow\Raster\Grating;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** The weave of the cloth coming through the ink, 60 threads to the inch, more in some places. */
final class FabricWeave implements Texture
{
    public static function kind(): string
    {
        return 'fabric-weave';
    }

    public static function followsEdges(): bool
    {
        return false;
    }

    public static function field(int $seed): Image
    {
        $weave = Grating::hills(self::TILE, 480)->linearByte(0.45);
        $uneven = Field::threads($seed, 3, 2400)->linearByte(0.15)->plus(Field::threads($seed + 1, 2400, 3)->linearByte(0.15));

        return Lookup::equalised($weave->plus($uneven)->plus(Field::clouds($seed + 2, 480, 4)->linearByte(0.25))->linearByte(1))->settled();
    }
}
