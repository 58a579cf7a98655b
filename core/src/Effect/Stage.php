<?php

declare(strict_types=1);

namespace TallCrow\Effect;

/** The stages in which effects act on a layer, in order. */
enum Stage: string
{
    case Retouch = 'retouch';
    case Type = 'type';
    case Letters = 'letters';
    case Geometry = 'geometry';
    case Ink = 'ink';
    case Look = 'look';

    /** @param  class-string<Effect>  $class */
    public static function of(string $class): self
    {
        return match (true) {
            is_a($class, Retouches::class, true) => self::Retouch,
            is_a($class, SetsType::class, true) => self::Type,
            is_a($class, PlacesLetters::class, true) => self::Letters,
            is_a($class, BendsOutline::class, true) => self::Geometry,
            is_a($class, Looks::class, true) => self::Look,
            default => self::Ink,
        };
    }

    /** Whether it applies to every kind of layer, and not to text only. */
    public function isForAny(): bool
    {
        return in_array($this, [self::Geometry, self::Ink, self::Look], true);
    }

    /** Whether it applies to rasters only. */
    public function isForRasters(): bool
    {
        return $this === self::Retouch;
    }

    public function comesAfter(self $other): bool
    {
        return array_search($this, self::cases(), true) > array_search($other, self::cases(), true);
    }
}
