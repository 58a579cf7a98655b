<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Reading;
use TallCrow\Colour\Srgb;
use TallCrow\Render\Placer;

/**
 * One change of a build sheet, carried out by the core. It is given by name and values, so that an interface can send it and
 * a finding can offer it in the same form. Operations lists the classes.
 */
abstract readonly class Operation
{
    /** Its name in the serialised form. */
    abstract public static function name(): string;

    /** Reads its values; faults are collected by the reading. */
    abstract public static function read(Reading $node): self;

    /** @throws EditRefused if the operation does not apply to the sheet */
    abstract public function apply(Artwork $artwork, Placer $placer): Edited;

    /** @return array<string, mixed> the serialised form, with its name at `op` */
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
