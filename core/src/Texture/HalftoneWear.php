<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Noise\Field;
use TallCrow\Noise\Patchwork;
use TallCrow\Raster\Grating;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** Wear in round dots, larger where more has gone, 25 to the inch. */
final class HalftoneWear implements WideTexture
{
    /** Dot spacing in pixels. */
    private const DOT = 12;

    public static function kind(): string
    {
        return 'halftone-wear';
    }

    public static function followsEdges(): bool
    {
        return false;
    }

    public static function field(int $seed): Image
    {
        return self::wide($seed, self::TILE);
    }

    /** Only the tone is made of patches: a regular screen would show where patches are blended. */
    public static function wide(int $seed, int $side): Image
    {
        $tone = Field::clouds($seed, 300, 4)->settled();
        $tone = $side === self::TILE ? $tone : Patchwork::wide($tone, $seed, intdiv($side, Patchwork::PATCH));

        return Lookup::equalised(Grating::hills($side, intdiv($side, self::DOT))->linearByte(0.5)->plus($tone->linearByte(0.5))->linearByte(1))->settled();
    }
}
