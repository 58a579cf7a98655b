<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Reading;
use TallCrow\Colour\Srgb;
use TallCrow\Render\Placer;

/**
 * One change of a build sheet that the core carries out. Asked for by name and values, so that an interface can send it,
 * a finding can offer it, and both mean the same. The Catalogue lists the classes.
 */
abstract readonly class Operation
{
    /** The word that stands for it when it is sent. */
    abstract public static function name(): string;

    /** Reads its values; faults are noted by the reading. */
    abstract public static function read(Reading $node): self;

    /** @throws EditRefused when the sheet does not have what the operation is for */
    abstract public function apply(Artwork $artwork, Placer $placer): Edited;

    /** @return array<string, mixed> as it is sent, its name at `op` */
    final public function toArray(): array
    {
        return ['op' => static::name()] + array_map(self::sent(...), get_object_vars($this));
    }

    private static function sent(mixed $value): mixed
    {
        return match (true) {
            $value instanceof \BackedEnum => $value->value,
            $value instanceof Srgb => $value->toHex(),
            is_object($value) && method_exists($value, 'toArray') => $value->toArray(),
            is_array($value) => array_map(self::sent(...), $value),
            default => $value,
        };
    }
}
