<?php

declare(strict_types=1);

namespace TallCrow\Series;

use TallCrow\Artwork\Artwork;

/**
 * The path of one value in a sheet: a layer's id and keys within it, or keys of the sheet itself. Written `layer/source/text`,
 * `layer/effects/0/colour`, `/title`, `/garments/0/colour`. Keys are those of docs/artwork-format.md.
 */
final readonly class Pointer
{
    private const MOST_KEYS = 8;

    /** @param  list<string|int>  $keys */
    private function __construct(
        public string $layer,
        public array $keys,
    ) {}

    /** @throws PatternInvalid */
    public static function parse(string $text): self
    {
        $parts = explode('/', $text);
        $keys = array_slice($parts, 1);
        if ($keys === [] || count($keys) > self::MOST_KEYS || in_array('', $keys, true)) {
            throw PatternInvalid::pointer($text);
        }

        return new self($parts[0], array_map(fn (string $key): string|int => ctype_digit($key) ? (int) $key : $key, $keys));
    }

    public function toString(): string
    {
        return implode('/', [$this->layer, ...$this->keys]);
    }

    public function isWords(): bool
    {
        return $this->layer !== '' && $this->keys === ['source', 'text'];
    }

    /**
     * The value at this place.
     *
     * @param  array<string, mixed>  $data  of a whole sheet, as Artwork::toArray() writes it
     *
     * @throws PatternInvalid when the sheet has no such place
     */
    public function value(array $data): mixed
    {
        $found = null;
        $this->with($data, function (mixed $value) use (&$found): mixed {
            return $found = $value;
        });

        return $found;
    }

    /**
     * The sheet with the value at this place changed.
     *
     * @param  array<string, mixed>  $data
     * @param  \Closure(mixed): mixed  $change  from the old value to the new
     * @return array<string, mixed>
     *
     * @throws PatternInvalid when the sheet has no such place
     */
    public function with(array $data, \Closure $change): array
    {
        if ($this->layer === '') {
            /** @var array<string, mixed> */
            return $this->within($data, $this->keys, $change);
        }
        $layers = $this->inLayers($data['layers'] ?? [], $change) ?? throw PatternInvalid::gone($this->toString());

        return ['layers' => $layers] + $data;
    }

    /** @param  list<string|int>  $keys */
    private function within(mixed $value, array $keys, \Closure $change): mixed
    {
        if ($keys === []) {
            return $change($value);
        }
        $key = $keys[0];
        if (! is_array($value) || ! array_key_exists($key, $value)) {
            throw PatternInvalid::gone($this->toString());
        }
        $value[$key] = $this->within($value[$key], array_slice($keys, 1), $change);

        return $value;
    }

    /**
     * Finds the layer at any depth of groups.
     *
     * @return ?array<mixed> the layers with the changed one; null if the layer is not among them
     */
    private function inLayers(mixed $layers, \Closure $change): ?array
    {
        $layers = is_array($layers) ? $layers : [];
        foreach ($layers as $i => $layer) {
            if (! is_array($layer)) {
                continue;
            }
            if (($layer['id'] ?? null) === $this->layer) {
                return array_replace($layers, [$i => $this->within($layer, $this->keys, $change)]);
            }
            $inner = is_array($layer['source'] ?? null) ? $this->inLayers($layer['source']['layers'] ?? [], $change) : null;
            if ($inner !== null) {
                return array_replace($layers, [$i => ['source' => ['layers' => $inner] + $layer['source']] + $layer]);
            }
        }

        return null;
    }
}
