<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Effect\Catalogue;
use TallCrow\Effect\ParameterKind;
use TallCrow\Texture\Wear;

/** Scales the lengths of an effect within the bounds of its parameters. */
final class Scaling
{
    public static function effect(EffectLine $line, float $by): EffectLine
    {
        $values = $line->values;
        foreach (Catalogue::classes()[$line->kind]::parameters() as $parameter) {
            if ($parameter->kind === ParameterKind::Length) {
                $values = $values->with($parameter->name, min($parameter->most, max($parameter->least, $values->number($parameter->name) * $by)));
            }
        }

        return new EffectLine($line->kind, $values, $line->on);
    }

    public static function wear(Wear $wear, float $by): Wear
    {
        return $wear->scaled($by, min(ArtworkReader::MOST_WEAR_SCALE, max(ArtworkReader::LEAST_WEAR_SCALE, $wear->scale * $by)));
    }
}
