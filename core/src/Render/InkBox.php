<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Artwork;
use TallCrow\Geometry\Box;

/** The box in inches about all ink of a sheet that prints, rings and shadows included; null for a blank one. */
final class InkBox
{
    public static function of(Artwork $artwork, Placer $placer): ?Box
    {
        $box = null;
        foreach ($artwork->layers as $layer) {
            $reach = $layer->on && $layer->role->prints() ? $placer->reach($layer) : null;
            $box = $reach === null ? $box : ($box?->union($reach) ?? $reach);
        }

        return $box;
    }
}
