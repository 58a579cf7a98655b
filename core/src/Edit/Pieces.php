<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Render\Placer;

/** Finds layers by id for an operation; tells if they no longer exist. */
final class Pieces
{
    public const MOST = 200;

    /** @throws EditRefused */
    public static function one(Artwork $artwork, string $id): Layer
    {
        return $artwork->layer($id) ?? throw EditRefused::gone($id);
    }

    /**
     * Changes several layers in place.
     *
     * @param  list<string>  $ids
     * @param  \Closure(Layer): Layer  $change
     *
     * @throws EditRefused
     */
    public static function each(Artwork $artwork, array $ids, \Closure $change): Artwork
    {
        foreach (array_unique($ids) as $id) {
            $artwork = $artwork->withLayer($id, $change(self::one($artwork, $id)));
        }

        return $artwork;
    }

    /**
     * The centre of the common box of several layers' ink, without rings and shadows, in inches on the sheet; of one alone, the middle that it stands about.
     *
     * @param  list<string>  $ids
     * @return array{float, float}
     *
     * @throws EditRefused
     */
    public static function middle(Artwork $artwork, array $ids, Placer $placer): array
    {
        $box = null;
        foreach ($ids as $id) {
            $own = count($ids) === 1 ? $placer->middle(self::one($artwork, $id)) : $placer->box(self::one($artwork, $id));
            $box = $own === null ? $box : ($box?->union($own) ?? $own);
        }

        return $box === null ? self::one($artwork, $ids[0] ?? '')->middle() : [$box->centreX(), $box->centreY()];
    }

    /**
     * The layers that a knockout clears: those below it in its own list, or those of them that it names.
     *
     * @param  list<Layer>  $layers
     * @return list<string> ids
     */
    public static function takenFrom(array $layers, string $id): array
    {
        foreach ($layers as $at => $layer) {
            if ($layer->id === $id) {
                $below = array_map(fn (Layer $one): string => $one->id, array_slice($layers, 0, $at));

                return $layer->role->from === [] ? $below : array_values(array_intersect($below, $layer->role->from));
            }
            $found = self::takenFrom($layer->children(), $id);
            if ($found !== []) {
                return $found;
            }
        }

        return [];
    }

    /** An unused id, also different from those given. */
    public static function freshId(Artwork $artwork, string ...$taken): string
    {
        $taken = [...$taken, ...array_map(fn (Layer $layer): string => $layer->id, $artwork->everyLayer())];
        for ($n = count($taken) + 1; in_array("line-$n", $taken, true); $n++);

        return "line-$n";
    }

    /** A copy of a layer with new ids for itself and its descendants. */
    public static function copy(Artwork $artwork, Layer $layer): Layer
    {
        $taken = [];
        $copy = function (Layer $one) use (&$copy, &$taken, $artwork): Layer {
            $taken[] = $id = self::freshId($artwork, ...$taken);

            return $one->withId($id)->withSource($one->source->each($copy));
        };

        return $copy($layer);
    }
}
