<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Colour\Srgb;
use TallCrow\Colour\UnreadableColour;
use TallCrow\Effect\Values;

/**
 * A node of a decoded JSON file, read strictly. A fault is recorded with its path and reading continues with a substitute,
 * so that one pass finds all faults.
 *
 * @internal
 */
final readonly class Node implements Reading
{
    public const ID = '^[A-Za-z0-9_-]{1,40}$';

    public const FILE_NAME = '^[A-Za-z0-9][A-Za-z0-9._ -]{0,119}$';

    /** Length of "@" and the longest swatch name. */
    public const LONGEST_COLOUR = 61;

    private function __construct(
        private mixed $value,
        public string $path,
        private Faults $faults,
    ) {}

    public static function root(mixed $value, Faults $faults): self
    {
        return new self($value, '', $faults);
    }

    public function fault(string $reason, string $key = ''): void
    {
        $this->faults->add(new Fault($key === '' ? $this->path : $this->at($key), $reason));
    }

    public function knows(string ...$keys): self
    {
        if (! is_array($this->value) || ($this->value !== [] && array_is_list($this->value))) {
            $this->fault('must be an object');

            return new self([], $this->path, $this->faults);
        }
        foreach (array_keys($this->value) as $key) {
            if (! in_array($key, $keys, true)) {
                $this->fault('is not known here; known are '.implode(', ', $keys), (string) $key);
            }
        }

        return $this;
    }

    public function has(string $key): bool
    {
        return is_array($this->value) && array_key_exists($key, $this->value);
    }

    public function child(string $key): self
    {
        if (! $this->has($key)) {
            $this->fault('is missing', $key);
        }

        return new self($this->raw($key) ?? [], $this->at($key), $this->faults);
    }

    /** @return list<self> */
    public function items(string $key, int $most): array
    {
        $items = $this->has($key) ? $this->raw($key) : [];
        if (! is_array($items) || ! array_is_list($items)) {
            $this->fault('must be a list', $key);

            return [];
        }
        if (count($items) > $most) {
            $this->fault(sprintf('has %d entries; %d is the most', count($items), $most), $key);

            return [];
        }
        $nodes = [];
        foreach ($items as $i => $item) {
            $nodes[] = new self($item, $this->at($key)."[$i]", $this->faults);
        }

        return $nodes;
    }

    public function text(string $key, int $most, ?string $default = null): string
    {
        $value = $this->required($key, $default);
        if (! is_string($value)) {
            return $this->noted($key, 'must be text', '');
        }
        if (! mb_check_encoding($value, 'UTF-8')) {
            return $this->noted($key, 'is not UTF-8 text', '');
        }
        if (mb_strlen($value) > $most) {
            return $this->noted($key, sprintf('is %d characters long; %d is the most', mb_strlen($value), $most), '');
        }

        return $value;
    }

    public function id(string $key): string
    {
        $id = $this->text($key, 40);
        if (preg_match('/'.self::ID.'/D', $id) !== 1) {
            $this->fault('must be 1 to 40 letters, digits, - or _', $key);
        }

        return $id;
    }

    public function texts(string $key, int $most, int $longest): array
    {
        $texts = [];
        foreach ($this->items($key, $most) as $item) {
            if (is_string($item->value) && mb_strlen($item->value) <= $longest) {
                $texts[] = $item->value;
            } else {
                $item->fault('must be text');
            }
        }

        return $texts;
    }

    public function asset(string $key, ?string $default = null): string
    {
        $name = $this->text($key, 120, $default);
        if ($name !== $default && preg_match('/'.self::FILE_NAME.'/D', $name) !== 1) {
            $this->fault('must be the plain name of a file beside the artwork', $key);
        }

        return $name;
    }

    public function points(string $key, int $most, float $reach): array
    {
        $points = $this->has($key) ? $this->raw($key) : [];
        if (! is_array($points) || ! array_is_list($points) || count($points) > $most) {
            return $this->noted($key, sprintf('must be a list of at most %d points', $most), []);
        }
        $read = [];
        foreach ($points as $i => $point) {
            [$x, $y] = is_array($point) && count($point) === 2 && array_is_list($point) ? $point : [null, null];
            if ((! is_int($x) && ! is_float($x)) || (! is_int($y) && ! is_float($y)) || abs($x) > $reach || abs($y) > $reach) {
                return $this->noted($key, sprintf('has no two numbers of at most %s at place %d', $reach, $i), []);
            }
            $read[] = [(float) $x, (float) $y];
        }

        return $read;
    }

    public function isNull(string $key): bool
    {
        return $this->raw($key) === null;
    }

    public function number(string $key, float $least, float $most, ?float $default = null): float
    {
        $value = $this->required($key, $default);
        if (! is_int($value) && ! is_float($value)) {
            return $this->noted($key, 'must be a number', $least);
        }
        if ($value < $least || $value > $most || ! is_finite($value)) {
            return $this->noted($key, sprintf('is %s; it must be %s to %s', $value, $least, $most), $least);
        }

        return (float) $value;
    }

    public function integer(string $key, int $least, int $most, ?int $default = null): int
    {
        $value = $this->required($key, $default);
        if (! is_int($value) && ! (is_float($value) && floor($value) === $value)) {
            return $this->noted($key, 'must be a whole number', $least);
        }
        if ($value < $least || $value > $most) {
            return $this->noted($key, sprintf('is %s; it must be %d to %d', $value, $least, $most), $least);
        }

        return (int) $value;
    }

    public function flag(string $key, bool $default): bool
    {
        $value = $this->required($key, $default);

        return is_bool($value) ? $value : $this->noted($key, 'must be true or false', $default);
    }

    public function colour(string $key, ?string $default = null): Srgb
    {
        $value = $this->required($key, $default);

        return is_string($value) ? $this->readColour($value, $key) : $this->noted($key, 'must be a colour such as "#1d2b1f"', Srgb::of(0, 0, 0));
    }

    public function inkColour(string $key, string $default): string
    {
        $value = $this->required($key, $default);

        return is_string($value) ? $this->ink($value, $key) : $this->noted($key, 'must be a colour such as "#1d2b1f"', '#000000');
    }

    public function inkColours(string $key, int $least, int $most, array $default): array
    {
        $given = $this->has($key) ? $this->texts($key, $most, self::LONGEST_COLOUR) : $default;
        if (count($given) < $least) {
            $this->fault(sprintf('has %d colours; %d is the least', count($given), $least), $key);
        }

        return array_map(fn (string $colour): string => $this->ink($colour, $key), $given);
    }

    private function ink(string $text, string $key): string
    {
        if (mb_strlen($text) > self::LONGEST_COLOUR) {
            return $this->noted($key, sprintf('is longer than the %d characters of a colour', self::LONGEST_COLOUR), '#000000');
        }

        return str_starts_with($text, Values::SWATCH) ? $text : $this->readColour($text, $key)->toHex();
    }

    private function readColour(string $text, string $key): Srgb
    {
        try {
            return Srgb::hex($text);
        } catch (UnreadableColour $unreadable) {
            return $this->noted($key, $unreadable->getMessage(), Srgb::of(0, 0, 0));
        }
    }

    public function word(string $key, array $words, ?string $default = null): string
    {
        $value = $this->required($key, $default);
        if (! is_string($value) || ! in_array($value, $words, true)) {
            return $this->noted($key, 'must be one of '.implode(', ', $words), $words[0] ?? '');
        }

        return $value;
    }

    public function choice(string $key, string $enum, ?\BackedEnum $default = null): \BackedEnum
    {
        $words = array_map(fn (\BackedEnum $case): string => (string) $case->value, $enum::cases());

        return $enum::from($this->word($key, $words, $default === null ? null : (string) $default->value));
    }

    private function required(string $key, mixed $default): mixed
    {
        if ($this->has($key)) {
            return $this->raw($key);
        }
        if ($default === null) {
            return Missing::Value;
        }

        return $default;
    }

    private function raw(string $key): mixed
    {
        return is_array($this->value) ? ($this->value[$key] ?? null) : null;
    }

    private function at(string $key): string
    {
        return $this->path === '' ? $key : $this->path.'.'.$key;
    }

    /**
     * @template T
     *
     * @param  T  $standIn
     * @return T
     */
    private function noted(string $key, string $reason, mixed $standIn): mixed
    {
        $this->fault($this->has($key) ? $reason : 'is missing: it '.$reason, $key);

        return $standIn;
    }
}
