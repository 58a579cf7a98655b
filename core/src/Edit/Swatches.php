<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Colour\Swatch;

/** Helpers for operations on the named colours of a job. */
final class Swatches
{
    public const MOST = 64;

    /** @throws EditRefused if the name is taken or not allowed */
    public static function free(Artwork $artwork, string $name): void
    {
        foreach ($artwork->swatches as $swatch) {
            if ($swatch->name === $name) {
                throw EditRefused::nameTaken($name);
            }
        }
        if (count($artwork->swatches) >= self::MOST) {
            throw EditRefused::tooMany('named colours', self::MOST);
        }
    }

    /** @throws EditRefused */
    public static function named(Artwork $artwork, string $name): Swatch
    {
        foreach ($artwork->swatches as $swatch) {
            if ($swatch->name === $name) {
                return $swatch;
            }
        }
        throw EditRefused::noColour($name);
    }

    /**
     * Applies a change to every colour of all effects.
     *
     * @param  \Closure(string): string  $change  from "#rrggbb" or "@Name" to the same form
     */
    public static function recoloured(Artwork $artwork, \Closure $change): Artwork
    {
        $layer = function (Layer $one) use (&$layer, $change): Layer {
            return $one->withEffects(array_map(fn (EffectLine $line): EffectLine => $line->recoloured($change), $one->effects))->withSource($one->source->each($layer));
        };

        return $artwork->withLayers(array_map($layer, $artwork->layers));
    }
}
