<?php

declare(strict_types=1);

namespace TallCrow\Paper;

/** Every paper there is. A new one is a class of its own and one entry here. */
final class Catalogue
{
    private const CLASSES = [
        Gingham::class,
        Plaid::class,
        Stripes::class,
        Spots::class,
        Chevron::class,
        Halftone::class,
        AnimalSpots::class,
        Watercolour::class,
        Clouds::class,
        Marbling::class,
        Glitter::class,
        Linen::class,
        Kraft::class,
        Ruled::class,
        Squared::class,
        RetroFlowers::class,
        Meadow::class,
        BrushSlashes::class,
    ];

    /** @return array<string, class-string<Paper>> by kind */
    public static function classes(): array
    {
        $byKind = [];
        foreach (self::CLASSES as $class) {
            $byKind[$class::kind()] = $class;
        }

        return $byKind;
    }

    /** @return list<string> */
    public static function kinds(): array
    {
        return array_map(fn (string $class): string => $class::kind(), self::CLASSES);
    }
}
