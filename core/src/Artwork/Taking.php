<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Effect\ClearsInk;

/** Which lines of a layer take ink from it. */
final class Taking
{
    /** The layer as it was before anything was taken. */
    public static function whole(Layer $layer): Layer
    {
        return self::uncleared($layer)->withSource($layer->source->each(self::whole(...)))->withMasks([])->withDistress([]);
    }

    /** The layer with its picture's background where it was, but cropped and straightened as it is. */
    public static function uncleared(Layer $layer): Layer
    {
        return $layer->withEffects(array_values(array_filter($layer->effects, fn (EffectLine $line): bool => ! is_a($line->is(), ClearsInk::class, true))));
    }
}
