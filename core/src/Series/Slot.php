<?php

declare(strict_types=1);

namespace TallCrow\Series;

use TallCrow\Artwork\Reading;
use TallCrow\Colour\Srgb;

/** A named variable of a pattern: each row of a list gives it one value, which is put at one or several places of the sheet. */
final readonly class Slot
{
    private const MOST_PLACES = 60;

    /**
     * @param  non-empty-list<Pointer>  $places
     * @param  ?FitRule  $fit  for words; null to keep the sheet's own size
     */
    public function __construct(
        public string $name,
        public array $places,
        public ?FitRule $fit = null,
    ) {}

    /** @throws PatternInvalid */
    public static function read(Reading $node): self
    {
        $node = $node->knows('name', 'places', 'fit');
        $name = trim($node->text('name', 60));
        $places = array_map(Pointer::parse(...), self::places($node));
        if ($name === '' || preg_match('/[{}]/', $name) === 1) {
            throw PatternInvalid::slot('A slot needs a name, without braces.');
        }

        return $places === [] ? throw PatternInvalid::slot(sprintf('The slot %s fills nothing: choose what on the sheet it stands for.', $name)) : new self($name, $places, $node->isNull('fit') ? null : FitRule::read($node->child('fit')));
    }

    /** @return list<string> the slot's places in written form */
    public static function places(Reading $node): array
    {
        return $node->texts('places', self::MOST_PLACES, 200);
    }

    /**
     * The sheet with a value at every place of the slot.
     *
     * @param  array<string, mixed>  $data  of a whole sheet
     * @return array<string, mixed>
     *
     * @throws PatternInvalid
     */
    public function fill(array $data, string $value): array
    {
        foreach ($this->places as $place) {
            $data = $place->with($data, fn (mixed $old): mixed => $this->typed($old, $value, $place));
        }

        return $data;
    }

    /** @return array{name: string, places: list<string>, fit: ?array<string, mixed>} */
    public function toArray(): array
    {
        return ['name' => $this->name, 'places' => array_map(fn (Pointer $place): string => $place->toString(), $this->places), 'fit' => $this->fit?->toArray()];
    }

    /** Converts a text to the type of the old value. */
    private function typed(mixed $old, string $value, Pointer $place): mixed
    {
        $value = trim($value);

        return match (true) {
            is_bool($old) => match (mb_strtolower($value)) {
                'yes', 'on', 'true', '1', 'x' => true,
                'no', 'off', 'false', '0', '' => false,
                default => throw PatternInvalid::value($this->name, $value, 'yes or no'),
            },
            is_int($old), is_float($old) => is_numeric($value) ? (is_int($old) && ctype_digit(ltrim($value, '-')) ? (int) $value : (float) $value) : throw PatternInvalid::value($this->name, $value, 'number'),
            is_string($old) && preg_match('/^(#[0-9a-f]{6}|@.+)$/i', $old) === 1 && $place->keys !== ['source', 'text'] => self::colour($value) ?? throw PatternInvalid::value($this->name, $value, 'colour'),
            is_string($old) => $value,
            is_array($old) && $place->layer === '' && $place->keys === ['garments'] => self::garments($old, $value) ?? throw PatternInvalid::value($this->name, $value, 'cloth of this pattern'),
            default => throw PatternInvalid::slot(sprintf('What the slot %s stands for cannot be filled from a list.', $this->name)),
        };
    }

    private static function colour(string $value): ?string
    {
        try {
            return str_starts_with($value, '@') ? $value : Srgb::hex(str_starts_with($value, '#') ? $value : "#$value")->toHex();
        } catch (\Exception) {
            return null;
        }
    }

    /**
     * The pattern's cloths that are named, in the order given.
     *
     * @param  array<mixed>  $cloths
     * @return ?list<mixed>
     */
    private static function garments(array $cloths, string $value): ?array
    {
        $found = [];
        foreach (array_map(trim(...), explode('+', $value)) as $name) {
            $match = array_values(array_filter($cloths, fn (mixed $one): bool => is_array($one) && is_string($one['name'] ?? null) && mb_strtolower($one['name']) === mb_strtolower($name)));
            if ($match === []) {
                return null;
            }
            $found[] = $match[0];
        }

        return $found;
    }
}
