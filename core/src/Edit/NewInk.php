<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Garment;
use TallCrow\Artwork\Layer;
use TallCrow\Colour\Contrast;
use TallCrow\Colour\Srgb;
use TallCrow\Colour\Swatch;
use TallCrow\Effect\Values;

/** A colour for what is new on a sheet, so that it is seen at once. */
final class NewInk
{
    /** Bone, ink, brick and gold: used where the job has named no colours of its own. */
    private const USUAL = ['#f3ead7', '#1d1a16', '#b04a2c', '#d8b04a'];

    /** Kinds of line whose colour is that of the piece itself. */
    private const FILLS = ['fill', 'hollow'];

    /**
     * The colour with the most contrast (WCAG 2.2) with the cloth, or own ink of the piece, that it stands out from least.
     *
     * @return string "#rrggbb", or "@Name" for one of the job's named colours
     */
    public static function standingOut(Artwork $artwork, ?Layer $beside = null): string
    {
        $grounds = [...array_map(fn (Garment $garment): Srgb => $garment->colour, $artwork->brief->garments), ...($beside === null ? [] : self::inks($beside, $artwork))];
        $colours = array_combine(self::USUAL, array_map(Srgb::hex(...), self::USUAL));
        foreach ($artwork->swatches as $swatch) {
            $colours[Values::SWATCH.$swatch->name] = $swatch->colour;
        }
        $least = array_map(fn (Srgb $colour): float => min([21.0, ...array_map(fn (Srgb $ground): float => Contrast::ratio($colour, $ground), $grounds)]), $colours);
        arsort($least);

        return (string) array_key_first($least);
    }

    /** @return list<Srgb> */
    private static function inks(Layer $layer, Artwork $artwork): array
    {
        $swatches = array_column(array_map(fn (Swatch $swatch): array => [Values::SWATCH.$swatch->name, $swatch->colour], $artwork->swatches), 1, 0);
        $inks = [];
        foreach (array_filter($layer->effects, fn (EffectLine $line): bool => $line->on && in_array($line->kind, self::FILLS, true)) as $line) {
            $colour = $line->values->word('colour');
            $inks[] = $swatches[$colour] ?? Srgb::hex($colour);
        }

        return $inks;
    }
}
