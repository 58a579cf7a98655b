<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Effect\Retouch\ClearBuckets;
use TallCrow\Effect\Retouch\ClearColour;
use TallCrow\Effect\Retouch\ClearEdge;
use TallCrow\Effect\Retouch\EdgeOfCutout;
use TallCrow\Effect\Retouch\Tidy;

/** Which lines of a layer take ink from it. */
final class Taking
{
    private const CLEARING = [ClearEdge::class, ClearBuckets::class, ClearColour::class, EdgeOfCutout::class, Tidy::class];

    /** The layer as it was before anything was taken. */
    public static function whole(Layer $layer): Layer
    {
        return self::uncleared($layer)->with(
            source: $layer->source instanceof GroupSource ? new GroupSource(array_map(self::whole(...), $layer->source->layers)) : null,
            masks: [],
            distress: [],
        );
    }

    /** The layer with its picture's background where it was, but cropped and straightened as it is. */
    public static function uncleared(Layer $layer): Layer
    {
        return $layer->with(effects: array_values(array_filter($layer->effects, fn (EffectLine $line): bool => ! in_array($line->is(), self::CLEARING, true))));
    }
}
