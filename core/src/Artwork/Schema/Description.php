<?php

declare(strict_types=1);

namespace TallCrow\Artwork\Schema;

use TallCrow\Artwork\Node;
use TallCrow\Artwork\Reading;
use TallCrow\Colour\Srgb;

/**
 * Records a reader's queries about one object as a JSON Schema (draft 2020-12) and answers every query with a
 * value that the reader accepts. Nested objects become references to definitions of their own.
 */
final class Description implements Reading
{
    /** @var array<string, array<string, mixed>> */
    private array $properties = [];

    /** @var list<string> */
    private array $required = [];

    /** @var array<string, true> keys whose presence the reader tests before it queries them */
    private array $mayLack = [];

    /** @var array<string, true> keys that may be null */
    private array $nullable = [];

    /**
     * @param  array<string, string>  $definitions  name of the definition by the key of its objects
     * @param  array<string, string>  $fixed  fixed values by key that select one kind of an object that has several
     */
    public function __construct(
        private readonly array $definitions,
        private readonly array $fixed = [],
    ) {}

    /**
     * @param  bool  $complete  whether to describe objects as written, with every key, or as accepted, where keys with defaults may be missing
     * @param  list<string>  $optional  keys that may be missing in any file
     * @return array<string, mixed>
     */
    public function schema(bool $complete, array $optional = []): array
    {
        $required = array_values(array_diff($complete ? array_keys($this->properties) : $this->required, $optional));

        return [
            'type' => 'object',
            'properties' => $this->properties,
            ...($required === [] ? [] : ['required' => $required]),
            'additionalProperties' => false,
        ];
    }

    public function fault(string $reason, string $key = ''): void {}

    public function knows(string ...$keys): self
    {
        return $this;
    }

    public function has(string $key): bool
    {
        $this->mayLack[$key] = true;

        return true;
    }

    public function isNull(string $key): bool
    {
        $this->nullable[$key] = true;

        return false;
    }

    public function child(string $key): self
    {
        $this->note($key, ['$ref' => $this->reference($key)], true);

        return new self($this->definitions);
    }

    public function items(string $key, int $most): array
    {
        $this->note($key, ['type' => 'array', 'items' => ['$ref' => $this->reference($key)], 'maxItems' => $most], false);

        return [];
    }

    public function text(string $key, int $most, ?string $default = null): string
    {
        $this->note($key, ['type' => 'string', 'maxLength' => $most], $default === null, $default);

        return $default ?? 'a';
    }

    public function id(string $key): string
    {
        $this->note($key, ['type' => 'string', 'pattern' => Node::ID], true);

        return 'a';
    }

    public function texts(string $key, int $most, int $longest): array
    {
        $this->note($key, ['type' => 'array', 'items' => ['type' => 'string', 'maxLength' => $longest], 'maxItems' => $most], false);

        return [];
    }

    public function asset(string $key, ?string $default = null): string
    {
        $this->note($key, ['type' => 'string', 'pattern' => $default === '' ? '^$|'.Node::FILE_NAME : Node::FILE_NAME], $default === null, $default);

        return $default ?? 'a';
    }

    public function points(string $key, int $most, float $reach): array
    {
        $number = ['type' => 'number', 'minimum' => -$reach, 'maximum' => $reach];
        $this->note($key, ['type' => 'array', 'items' => ['type' => 'array', 'items' => $number, 'minItems' => 2, 'maxItems' => 2], 'maxItems' => $most], false);

        return [];
    }

    public function number(string $key, float $least, float $most, ?float $default = null): float
    {
        $this->note($key, ['type' => 'number', 'minimum' => $least, 'maximum' => $most], $default === null, $default);

        return $default ?? max($least, min($most, 10.0));
    }

    public function integer(string $key, int $least, int $most, ?int $default = null): int
    {
        $this->note($key, ['type' => 'integer', 'minimum' => $least, 'maximum' => $most], $default === null, $default);

        return $default ?? $least;
    }

    public function flag(string $key, bool $default): bool
    {
        $this->note($key, ['type' => 'boolean'], false, $default);

        return $default;
    }

    public function colour(string $key, ?string $default = null): Srgb
    {
        $this->note($key, ['$ref' => '#/$defs/colour'], $default === null, $default);

        return Srgb::of(0, 0, 0);
    }

    public function inkColour(string $key, string $default): string
    {
        $this->note($key, ['$ref' => '#/$defs/inkColour'], false, $default);

        return $default;
    }

    public function inkColours(string $key, int $least, int $most, array $default): array
    {
        $this->note($key, ['type' => 'array', 'items' => ['$ref' => '#/$defs/inkColour'], 'minItems' => $least, 'maxItems' => $most], false, $default);

        return $default;
    }

    public function word(string $key, array $words, ?string $default = null): string
    {
        if (isset($this->fixed[$key])) {
            $this->note($key, ['const' => $this->fixed[$key]], true);

            return $this->fixed[$key];
        }
        $this->note($key, count($words) === 1 ? ['const' => reset($words)] : ['type' => 'string', 'enum' => $words], $default === null, $default);

        return $default ?? $words[0] ?? '';
    }

    public function choice(string $key, string $enum, ?\BackedEnum $default = null): \BackedEnum
    {
        $words = array_map(fn (\BackedEnum $case): string => (string) $case->value, $enum::cases());

        return $enum::from($this->word($key, $words, $default === null ? null : (string) $default->value));
    }

    private function reference(string $key): string
    {
        return '#/$defs/'.($this->definitions[$key] ?? throw new \LogicException("No definition is named for \"$key\"."));
    }

    /** @param  array<string, mixed>  $schema */
    private function note(string $key, array $schema, bool $required, mixed $default = null): void
    {
        if (isset($this->nullable[$key])) {
            $schema = ['anyOf' => [$schema, ['type' => 'null']]];
            $required = false;
        }
        $this->properties[$key] ??= $schema + ($default === null ? [] : ['default' => $default]);
        if ($required && ! isset($this->mayLack[$key]) && ! in_array($key, $this->required, true)) {
            $this->required[] = $key;
        }
    }
}
