<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Effect\Stage;

/** What a linked copy takes from the layer that it follows. */
enum FollowedPart: string
{
    /** Its words and how they are set, its picture, or its shape. */
    case Source = 'source';

    /** The lines that shape it before any ink: retouching, type, letters, warps. */
    case Shape = 'shape';

    /** Where it lies, how large, and its repeats. */
    case Placement = 'placement';

    /** A layer with this part of another. */
    public function taken(Layer $to, Layer $from): Layer
    {
        return match ($this) {
            self::Source => $to->withSource($from->source),
            self::Shape => $to->withEffects([...self::shaping($from), ...array_udiff($to->effects, self::shaping($to), fn (EffectLine $a, EffectLine $b): int => spl_object_id($a) <=> spl_object_id($b))]),
            self::Placement => ($from->placement === null ? $to : $to->withPlacement($from->placement))->withRepeat($from->repeat),
        };
    }

    public function isSame(Layer $one, Layer $other): bool
    {
        return $this->told($one) === $this->told($other);
    }

    /** @return list<EffectLine> */
    private static function shaping(Layer $layer): array
    {
        return array_values(array_filter($layer->effects, fn (EffectLine $line): bool => Stage::Ink->comesAfter(Stage::of($line->is()))));
    }

    private function told(Layer $layer): string
    {
        return json_encode(match ($this) {
            self::Source => $layer->source->toArray(),
            self::Shape => array_map(fn (EffectLine $line): array => $line->toArray(), self::shaping($layer)),
            self::Placement => [$layer->placement?->toArray(), $layer->repeat?->toArray()],
        }, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }
}
