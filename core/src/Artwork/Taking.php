<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Effect\ClearsInk;

/** Removes the effects, masks and wear that clear ink from a layer. */
final class Taking
{
    /** The layer without anything that clears ink. */
    public static function whole(Layer $layer): Layer
    {
        return self::uncleared($layer)->withSource($layer->source->each(self::whole(...)))->withMasks([])->withDistress([]);
    }

    /** The layer with its picture's background restored, but still cropped and straightened. */
    public static function uncleared(Layer $layer): Layer
    {
        return $layer->withEffects(array_values(array_filter($layer->effects, fn (EffectLine $line): bool => ! is_a($line->is(), ClearsInk::class, true))));
    }
}
