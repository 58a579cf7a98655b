<?php

declare(strict_types=1);

namespace TallCrow\Texture;

use TallCrow\Noise\Field;
use TallCrow\Raster\Image;
use TallCrow\Raster\Lookup;

/** Ink from a roller that ran dry: long streaks one way, where the ground was high. */
final class DryRoller implements Texture
{
    public static function kind(): string
    {
        return 'dry-roller';
    }

    public static function followsEdges(): bool
    {
        return false;
    }

    public static function field(int $seed): Image
    {
        $streaks = Field::strokes($seed, 8, 600)->linearByte(0.33)->plus(Field::strokes($seed + 9, 40, 800)->linearByte(0.26));
        $high = Field::clouds($seed + 2, 400, 4)->linearByte(0.3);

        return Lookup::equalised($streaks->plus($high)->plus(Field::grain($seed + 1, 1.2)->linearByte(0.15))->linearByte(1))->settled();
    }
}
