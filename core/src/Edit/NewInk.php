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
use TallCrow\Effect\StandsOut;
use TallCrow\Effect\SuitsTones;
use TallCrow\Effect\Values;

/** Chooses a colour for new ink on a sheet so that it is clearly visible. */
final class NewInk
{
    /** Bone, ink, brick and gold: used if the job has no named colours. */
    private const USUAL = ['#f3ead7', '#1d1a16', '#b04a2c', '#d8b04a'];

    /** CIELAB lightness above which ink is pale. */
    private const MIDDLE = 50.0;

    /** Effects whose colour is that of the layer itself. */
    private const FILLS = ['fill', 'hollow'];

    /**
     * The colour whose least contrast (WCAG 2.2) with any cloth, or with the layer's own ink, is greatest.
     *
     * @return string "#rrggbb", or "@Name" for one of the job's named colours
     */
    public static function standingOut(Artwork $artwork, ?Layer $beside = null): string
    {
        $grounds = [...array_map(fn (Garment $garment): Srgb => $garment->colour, $artwork->brief->garments), ...($beside === null ? [] : self::inks($beside, $artwork))];
        $colours = self::named($artwork);
        $least = array_map(fn (Srgb $colour): float => min([21.0, ...array_map(fn (Srgb $ground): float => Contrast::ratio($colour, $ground), $grounds)]), $colours);
        arsort($least);

        return (string) array_key_first($least);
    }

    /** A new effect with a contrasting colour, set for the tones of the ink that it works on. */
    public static function ofLine(EffectLine $line, Artwork $artwork, Layer $layer): EffectLine
    {
        $kind = $line->is();
        if (! is_a($kind, StandsOut::class, true)) {
            return $line;
        }
        $colour = self::standingOut($artwork, $kind::liesBeside() ? $layer : null);
        $own = array_slice(self::inks($layer, $artwork), -1)[0] ?? null;
        $cloth = $artwork->brief->garments[0]->colour ?? Srgb::of(255, 255, 255);
        // Words have one tone, which must be kept; of a picture the parts lighter or darker than the cloth are printed.
        $isPale = $own !== null ? $own->toLab()->l > self::MIDDLE : self::named($artwork)[$colour]->luminance() > $cloth->luminance();
        $values = $line->values;
        foreach (is_a($kind, SuitsTones::class, true) ? $kind::beginsWith($isPale) : [] as $name => $word) {
            $values = $values->with($name, $word);
        }

        return (new EffectLine($line->kind, $values, $line->on))->recoloured(fn (): string => $colour);
    }

    /** @return non-empty-array<string, Srgb> colours to choose from: the default ones, and the job's by "@Name" */
    private static function named(Artwork $artwork): array
    {
        $colours = array_combine(self::USUAL, array_map(Srgb::hex(...), self::USUAL));
        foreach ($artwork->swatches as $swatch) {
            $colours[Values::SWATCH.$swatch->name] = $swatch->colour;
        }

        return $colours;
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
