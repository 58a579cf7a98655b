<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\GroupSource;
use TallCrow\Artwork\Layer;
use TallCrow\Colour\Srgb;
use TallCrow\Effect\Effect;
use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inking\Part;
use TallCrow\Effect\Inking\Ring;
use TallCrow\Effect\Inking\Solid;
use TallCrow\Effect\Looks;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Region;
use TallCrow\Raster\BlendMode;
use TallCrow\Type\Letter;

/** A sheet as flat coloured areas, for vinyl cutters and vector files: words and shapes with their rings, gaps, shadows and knockouts. */
final readonly class FlatSheet
{
    public function __construct(
        private Placer $placer,
        private Pictures $pictures,
    ) {}

    /**
     * From the cloth up.
     *
     * @return non-empty-list<FlatInk>
     *
     * @throws NotFlat when something on the sheet is not an outline in one colour
     */
    public function inks(Artwork $artwork): array
    {
        foreach ($artwork->distress as $wear) {
            $wear->on && throw NotFlat::sheet();
        }
        $inks = array_values(array_filter($this->of($artwork->layers), fn (FlatInk $ink): bool => ! $ink->region->isEmpty()));

        return $inks === [] ? throw NotFlat::blank() : $inks;
    }

    /**
     * @param  list<Layer>  $layers
     * @return list<FlatInk>
     */
    private function of(array $layers): array
    {
        $inks = [];
        foreach ($layers as $layer) {
            if (! $layer->on) {
                continue;
            }
            // Copies are treated as children of a group.
            $layer = $layer->repeat?->on ? $layer->repeat->spread($layer) : $layer;
            $this->demand($layer);
            $own = $layer->source instanceof GroupSource ? $this->of($layer->children()) : $this->piece($layer);
            if ($layer->role->takesAway() && $own !== []) {
                $taken = $this->taken($layer, $own);
                $inks = array_map(fn (FlatInk $ink): FlatInk => $layer->role->from === [] || in_array($ink->layer, $layer->role->from, true) ? $ink->without($taken) : $ink, $inks);
            }
            if ($layer->role->prints()) {
                // A knockout in the same list addresses a group by the group's id, not by its children's.
                array_push($inks, ...array_map(fn (FlatInk $ink): FlatInk => new FlatInk($layer->id, $ink->colour, $ink->region, $ink->outline()), $own));
            }
        }

        return $inks;
    }

    private function demand(Layer $layer): void
    {
        $group = $layer->source instanceof GroupSource;
        $why = match (true) {
            $layer->liveMasks() !== [] => 'has a mask',
            $layer->liveDistress() !== [] => 'is worn',
            $layer->opacity < 1 => 'is half-transparent',
            $layer->blend !== BlendMode::Normal => 'is blended',
            array_filter($layer->liveEffects(), fn (Effect $effect): bool => $effect instanceof Looks) !== [] => 'has a look',
            $group && $layer->liveEffects() !== [] => 'has lines for all of its pieces',
            ! $group && ($this->placer->place($layer)->letters ?? []) === [] && ! $layer->isWords() => 'is a picture or a drawing in its own colours',
            default => null,
        };
        $why === null || throw NotFlat::layer($layer, $why);
    }

    /** @return list<FlatInk> */
    private function piece(Layer $layer): array
    {
        $letters = $this->placer->place($layer)->letters ?? [];
        if ($letters === []) {
            return [];
        }
        $inking = $this->placer->inking($layer);
        $outlines = new InkOutlines($letters, $inking, $this->pictures, Silhouettes::PPI);
        $inks = [];
        $paint = function (FlatInk $ink) use (&$inks): void {
            $inks[] = $ink;
        };
        $take = function (Region $taken) use (&$inks): void {
            $inks = array_map(fn (FlatInk $ink): FlatInk => $ink->without($taken), $inks);
        };
        foreach (array_reverse($inking->shadows) as $shadow) {
            $casting = $outlines->casting();
            $cast = $shadow->solid ? $casting->swept($shadow->x, $shadow->y) : $casting->transformed(Affine::shift($shadow->x, $shadow->y));
            $paint(new FlatInk($layer->id, $shadow->colour, Region::filledBy($cast), $cast));
        }
        foreach (array_reverse($inking->rings, true) as $i => $ring) {
            $ring->colour === null ? $take($outlines->ringRegion($i)) : $paint(new FlatInk($layer->id, $ring->colour, $outlines->ringRegion($i)));
            $free = $outlines->free($i);
            $free === null || $take(Region::filledBy($free));
        }
        if ($inking->hollow) {
            $take($outlines->hollowRegion());
        }
        if ($inking->backing !== null) {
            $paint(new FlatInk($layer->id, $inking->backing, $outlines->backingRegion()));
        }
        $line = self::hollowLine($layer, $inking);
        $paint($line === null
            ? new FlatInk($layer->id, self::colour($layer, $inking), $outlines->bodyRegion(), $inking->grown == 0.0 ? $outlines->plain() : null)
            : new FlatInk($layer->id, $line, $outlines->lineRegion()));

        return $inks;
    }

    /** The line colour of a hollow piece; null when the piece is filled. */
    private static function hollowLine(Layer $layer, Inking $inking): ?Srgb
    {
        if (! $inking->hollow) {
            return null;
        }
        $line = $inking->inlines[0] ?? null;
        if (count($inking->inlines) !== 1 || $inking->hatchings !== [] || $line?->colour === null) {
            throw NotFlat::layer($layer, 'has lines drawn inside it');
        }

        return $line->colour;
    }

    private static function colour(Layer $layer, Inking $inking): Srgb
    {
        $filling = $inking->fills[0] ?? null;
        if (count($inking->fills) !== 1 || $filling === null || $filling->aim->part !== Part::All || ! $filling->paint instanceof Solid) {
            throw NotFlat::layer($layer, 'is not filled with one colour');
        }
        if ($inking->inlines !== [] || $inking->hatchings !== []) {
            throw NotFlat::layer($layer, 'has lines drawn inside it');
        }

        return $filling->paint->colour;
    }

    /** @param  non-empty-list<FlatInk>  $own */
    private function taken(Layer $layer, array $own): Region
    {
        // A hollow word knocks out its filled shape, as in the raster print.
        $letters = $this->placer->place($layer)->letters ?? [];
        $shape = $letters === []
            ? Region::united(array_column($own, 'region'))
            : Region::filledBy((new InkOutlines($letters, $this->placer->inking($layer), $this->pictures, Silhouettes::PPI))->shape());
        $ring = new Ring($layer->role->gap, null, $layer->role->join, 4.0, $layer->role->whole, InkOutlines::CRUMB);

        return (new InkOutlines([Letter::figure($shape->path())], Inking::plain(null)->ringed($ring), $this->pictures, Silhouettes::PPI))->ringRegion(0);
    }
}
