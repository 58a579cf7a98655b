<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Effect\SuitsSize;
use TallCrow\Render\Placer;
use TallCrow\Type\FontRefused;
use TallCrow\Type\Letter;
use TallCrow\Type\MissingGlyphs;

/**
 * Scales the default lengths of a new effect to small layers: the default shadow suits letters an inch tall; beside letters of a third of that it would
 * look like a second word.
 */
final class NewLengths
{
    /** Least factor of the default lengths, and the step in inches to which lengths are rounded. */
    private const LEAST = 0.2;

    private const STEP = 0.005;

    /** For layers other than words, the fraction of the shorter side that is taken for the letter height. */
    private const OF_SIDE = 0.25;

    /** Adapts lengths that have their default value; other values are kept. */
    public static function ofLine(EffectLine $line, Layer $layer, Placer $placer): EffectLine
    {
        $kind = $line->is();
        if (! is_a($kind, SuitsSize::class, true)) {
            return $line;
        }
        $by = max(self::LEAST, min(1.0, self::tall($layer, $placer)));
        $values = $line->values;
        foreach ($kind::parameters() as $parameter) {
            if (in_array($parameter->name, $kind::growing(), true) && $values->number($parameter->name) === $parameter->default) {
                $values = $values->with($parameter->name, max($parameter->least, round($values->number($parameter->name) * $by / self::STEP) * self::STEP, self::STEP));
            }
        }

        return new EffectLine($line->kind, $values, $line->on);
    }

    /** Median letter height in inches, or what is taken for it. */
    private static function tall(Layer $layer, Placer $placer): float
    {
        try {
            $heights = array_map(fn (Letter $letter): float => $letter->height(), $placer->place($layer)->letters ?? []);
            $box = $placer->box($layer);
        } catch (AssetUnusable|MissingGlyphs|FontRefused) {
            return 1.0;
        }
        sort($heights);

        return $heights[intdiv(count($heights), 2)] ?? ($box === null ? 1.0 : self::OF_SIDE * min($box->width(), $box->height()));
    }
}
