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

/** A colour for what is new on a sheet, so that it is seen at once. */
final class NewInk
{
    /** Bone, ink, brick and gold: used where the job has named no colours of its own. */
    private const USUAL = ['#f3ead7', '#1d1a16', '#b04a2c', '#d8b04a'];

    /** CIELAB lightness above which ink is pale. */
    private const MIDDLE = 50.0;

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
        $colours = self::named($artwork);
        $least = array_map(fn (Srgb $colour): float => min([21.0, ...array_map(fn (Srgb $ground): float => Contrast::ratio($colour, $ground), $grounds)]), $colours);
        arsort($least);

        return (string) array_key_first($least);
    }

    /** A new line in a colour that stands out, and for the tones of the ink that it works on. */
    public static function ofLine(EffectLine $line, Artwork $artwork, Layer $layer): EffectLine
    {
        $kind = $line->is();
        if (! is_a($kind, StandsOut::class, true)) {
            return $line;
        }
        $colour = self::standingOut($artwork, $kind::liesBeside() ? $layer : null);
        $own = array_slice(self::inks($layer, $artwork), -1)[0] ?? null;
        $cloth = $artwork->brief->garments[0]->colour ?? Srgb::of(255, 255, 255);
        // Words are of one tone, and stay if that one does; of a picture the parts that are lighter or darker than the cloth are printed.
        $isPale = $own !== null ? $own->toLab()->l > self::MIDDLE : self::named($artwork)[$colour]->luminance() > $cloth->luminance();
        $values = $line->values;
        foreach (is_a($kind, SuitsTones::class, true) ? $kind::beginsWith($isPale) : [] as $name => $word) {
            $values = $values->with($name, $word);
        }

        return (new EffectLine($line->kind, $values, $line->on))->recoloured(fn (): string => $colour);
    }

    /** @return non-empty-array<string, Srgb> colours to choose from: the usual ones, and by "@Name" the job's */
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
