<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** Every effect there is. A new one is a class of its own and one entry here. */
final class Catalogue
{
    private const CLASSES = [
        LetterSpacing::class,
        Arch::class,
        Fill::class,
        Outline::class,
    ];

    /** @return array<string, class-string<Effect>> by kind */
    public static function classes(): array
    {
        $byKind = [];
        foreach (self::CLASSES as $class) {
            $byKind[$class::kind()] = $class;
        }

        return $byKind;
    }

    public static function stage(string $class): string
    {
        return match (true) {
            is_a($class, SetsType::class, true) => 'type',
            is_a($class, BendsOutline::class, true) => 'geometry',
            default => 'ink',
        };
    }
}
