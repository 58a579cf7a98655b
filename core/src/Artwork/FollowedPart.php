<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Effect\Stage;

/** A part that a linked copy shares with the layer that it follows. */
enum FollowedPart: string
{
    /** Its words with their typesetting, its picture, or its shape. */
    case Source = 'source';

    /** Only its words; font and typesetting are the copy's own. */
    case Words = 'words';

    /** The effects before ink: retouching, type, letters, warps. */
    case Shape = 'shape';

    /** Its position, size and repeats. */
    case Placement = 'placement';

    /** A layer with this part taken from another. */
    public function taken(Layer $to, Layer $from): Layer
    {
        return match ($this) {
            self::Source => $to->withSource($from->source),
            self::Words => self::worded($to, $from),
            self::Shape => $to->withEffects([...self::shaping($from), ...array_udiff($to->effects, self::shaping($to), fn (EffectLine $a, EffectLine $b): int => spl_object_id($a) <=> spl_object_id($b))]),
            self::Placement => ($from->placement === null ? $to : $to->withPlacement($from->placement))->withRepeat($from->repeat),
        };
    }

    public function isSame(Layer $one, Layer $other): bool
    {
        return $this->told($one) === $this->told($other);
    }

    private static function worded(Layer $to, Layer $from): Layer
    {
        [$own, $words] = [$to->words(), $from->words()];

        return $own === null || $words === null ? $to : $to->withSource(new TextSource($words->text, $own->font, $own->align, $own->leading));
    }

    /** Whether links include it by default. */
    public function isUsual(): bool
    {
        return $this !== self::Words;
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
            self::Words => $layer->words()?->text,
            self::Shape => array_map(fn (EffectLine $line): array => $line->toArray(), self::shaping($layer)),
            self::Placement => [$layer->placement?->toArray(), $layer->repeat?->toArray()],
        }, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }
}
