<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** Keeps linked copies in step with the layers that they follow. */
final class Following
{
    public static function isUsed(Artwork $artwork): bool
    {
        return array_filter($artwork->everyLayer(), fn (Layer $layer): bool => $layer->follows !== null) !== [];
    }

    /** Updates every linked copy from the layer that it follows. */
    public static function settled(Artwork $artwork): Artwork
    {
        foreach ($artwork->everyLayer() as $layer) {
            $leader = $layer->follows === null ? null : $artwork->layer($layer->follows->layer);
            if ($layer->follows !== null && $leader !== null) {
                $artwork = $artwork->withLayer($layer->id, self::taking($layer, $leader, $layer->follows->parts));
            }
        }

        return $artwork;
    }

    /**
     * After a change: a shared part that was changed on a linked copy, but not on the layer that it follows, is copied to that
     * layer, so that any of them can be edited. If several copies were changed, the last one counts. Links to layers that
     * were removed or became groups are removed.
     */
    public static function led(Artwork $before, Artwork $after): Artwork
    {
        $after = self::loose($after);
        $changed = $after;
        foreach ($after->everyLayer() as $layer) {
            $was = $before->layer($layer->id);
            if ($layer->follows === null || $was?->follows?->layer !== $layer->follows->layer) {
                continue;
            }
            [$leader, $led] = [$after->layer($layer->follows->layer), $before->layer($layer->follows->layer)];
            if ($leader === null || $led === null) {
                continue;
            }
            $own = array_values(array_filter(
                $layer->follows->parts,
                fn (FollowedPart $part): bool => $was->follows->takes($part) && ! $part->isSame($was, $layer) && $part->isSame($led, $leader),
            ));
            $changed = $changed->withLayer($leader->id, self::taking($changed->layer($leader->id) ?? $leader, $layer, $own));
        }

        return self::settled($changed);
    }

    private static function loose(Artwork $artwork): Artwork
    {
        foreach ($artwork->everyLayer() as $layer) {
            if ($layer->follows !== null && ($layer->placement === null || $artwork->layer($layer->follows->layer)?->placement === null)) {
                $artwork = $artwork->withLayer($layer->id, $layer->following(null));
            }
        }

        return $artwork;
    }

    /** @param  list<FollowedPart>  $parts */
    private static function taking(Layer $to, Layer $from, array $parts): Layer
    {
        return array_reduce($parts, fn (Layer $layer, FollowedPart $part): Layer => $part->taken($layer, $from), $to);
    }
}
