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

/** Lengths for a new line that suit a small piece: the usual shadow of an inch-tall letter would be a second word beside one of a third of it. */
final class NewLengths
{
    /** The least share of the usual lengths, and what lengths are rounded to, in inches. */
    private const LEAST = 0.2;

    private const STEP = 0.005;

    /** Of a piece that is no words, the share of its shorter side that stands for a letter. */
    private const OF_SIDE = 0.25;

    /** Lengths that are as usual, made to suit the piece; what was set otherwise stays. */
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

    /** Inches that its letters are tall, by the middle one of them, or what stands for it. */
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
