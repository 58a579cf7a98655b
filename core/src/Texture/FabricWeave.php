<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Noise\Field;
use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Grating;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** The weave of the cloth coming through the ink, 60 threads to the inch, more in some places. */
final class FabricWeave implements WideTexture
{
    /** Thread spacing in pixels. */
    private const THREAD = 5;

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
        return self::wide($seed, self::TILE);
    }

    /** The weave itself is not made of patches: a regular pattern would show where patches are blended. */
    public static function wide(int $seed, int $side): Image
    {
        $uneven = Field::threads($seed, 3, 2400)->linearByte(0.27)->plus(Field::threads($seed + 1, 2400, 3)->linearByte(0.27))->plus(Field::clouds($seed + 2, 480, 4)->linearByte(0.46))->linearByte(1)->settled();
        $uneven = $side === self::TILE ? $uneven : Patchwork::wide($uneven, $seed, intdiv($side, Patchwork::PATCH));

        return Lookup::equalised(Grating::hills($side, intdiv($side, self::THREAD))->linearByte(0.45)->plus($uneven->linearByte(0.55))->linearByte(1))->settled();
    }
}
