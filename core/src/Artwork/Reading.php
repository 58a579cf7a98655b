<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Colour\Srgb;

/**
 * How a reader queries one object of a file, key by key, with bounds and defaults. Node answers from a file;
 * Schema\Description records the queries. So the JSON Schema always agrees with the reader.
 */
interface Reading
{
    /** Records a fault of this object or of one of its values. */
    public function fault(string $reason, string $key = ''): void;

    /** Declares all keys that the object may have. */
    public function knows(string ...$keys): self;

    public function has(string $key): bool;

    public function isNull(string $key): bool;

    /** A nested object. */
    public function child(string $key): self;

    /** @return list<self> the objects in a list */
    public function items(string $key, int $most): array;

    /** @param  int  $most  characters */
    public function text(string $key, int $most, ?string $default = null): string;

    /** The id of a layer: 1 to 40 letters, digits, - or _. */
    public function id(string $key): string;

    /** @return list<string> */
    public function texts(string $key, int $most, int $longest): array;

    /** The name of a file in the artwork's folder: no path, no hidden file. */
    public function asset(string $key, ?string $default = null): string;

    /**
     * Points as pairs of numbers.
     *
     * @return list<array{float, float}>
     */
    public function points(string $key, int $most, float $reach): array;

    public function number(string $key, float $least, float $most, ?float $default = null): float;

    public function integer(string $key, int $least, int $most, ?int $default = null): int;

    public function flag(string $key, bool $default): bool;

    public function colour(string $key, ?string $default = null): Srgb;

    /** A colour as "#rrggbb", or the name of a swatch of the job as "@Bone". */
    public function inkColour(string $key, string $default): string;

    /**
     * @param  list<string>  $default
     * @return list<string> as inkColour()
     */
    public function inkColours(string $key, int $least, int $most, array $default): array;

    /** @param  list<string>  $words */
    public function word(string $key, array $words, ?string $default = null): string;

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @param  ?T  $default
     * @return T
     */
    public function choice(string $key, string $enum, ?\BackedEnum $default = null): \BackedEnum;
}
