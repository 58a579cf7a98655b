<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** Keeps linked copies and the layers that they follow alike. */
final class Following
{
    public static function isUsed(Artwork $artwork): bool
    {
        return array_filter($artwork->everyLayer(), fn (Layer $layer): bool => $layer->follows !== null) !== [];
    }

    /** Every linked copy takes what it follows. */
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
     * After a change: what was set on a linked copy, and not on the layer that it follows, is set on that layer, so
     * that any of them can be edited. Where copies were set differently the last one counts. A link to what is gone or
     * became a group is let go.
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
