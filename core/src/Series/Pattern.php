<?php

declare(strict_types=1);

namespace TallCrow\Series;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\Faults;
use TallCrow\Artwork\Node;

/** The slots of a sheet and the title pattern of its rows. docs/pattern-format.md describes the file. */
final readonly class Pattern
{
    public const FORMAT = 'tallcrow.pattern/1';

    private const MOST_SLOTS = 30;

    /** @param  list<Slot>  $slots */
    private function __construct(
        public array $slots,
        /** Text with slots in braces, such as "{Name} family reunion". */
        public string $title,
    ) {}

    /**
     * @param  mixed  $data  as toArray() writes it
     *
     * @throws ArtworkInvalid|PatternInvalid
     */
    public static function data(mixed $data): self
    {
        $faults = new Faults;
        $root = Node::root($data, $faults)->knows('format', 'title', 'slots');
        $root->word('format', [self::FORMAT]);
        $nodes = $root->items('slots', self::MOST_SLOTS);
        $title = trim($root->text('title', 200, ''));
        foreach ($nodes as $node) {
            Slot::places($node);
        }
        // Report a list that is too long as that, not as slots without places.
        $faults->settle();
        $slots = array_map(Slot::read(...), $nodes);
        $faults->settle();
        $names = array_map(fn (Slot $slot): string => mb_strtolower($slot->name), $slots);
        if (count(array_unique($names)) < count($names)) {
            throw PatternInvalid::slot('Two slots have the same name.');
        }
        preg_match_all('/\{([^}]*)\}/', $title, $named);
        foreach ($named[1] as $name) {
            in_array(mb_strtolower($name), $names, true) || throw PatternInvalid::slot(sprintf('The title names {%s}, and there is no such slot.', $name));
        }

        return new self($slots, $title);
    }

    /** @throws ArtworkInvalid|PatternInvalid */
    public static function json(string $json): self
    {
        try {
            return self::data(json_decode($json, true, 16, JSON_THROW_ON_ERROR));
        } catch (\JsonException $unreadable) {
            throw PatternInvalid::slot('The pattern is not JSON: '.$unreadable->getMessage());
        }
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['format' => self::FORMAT, 'title' => $this->title, 'slots' => array_map(fn (Slot $slot): array => $slot->toArray(), $this->slots)];
    }

    /** The sheet's own value of a slot, as text. */
    public static function example(Slot $slot, Artwork $artwork): string
    {
        $value = $slot->places[0]->value($artwork->toArray());

        return match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            is_scalar($value) => (string) $value,
            is_array($value) => implode(' + ', array_map(fn (mixed $one): string => is_array($one) && is_string($one['name'] ?? null) ? $one['name'] : '', $value)),
            default => '',
        };
    }

    /**
     * The title of a row.
     *
     * @param  array<string, string>  $values
     */
    public function called(array $values, string $otherwise, int $number): string
    {
        if ($this->title === '') {
            $first = trim((string) preg_replace('/\s+/', ' ', $values[$this->slots[0]->name ?? ''] ?? ''));

            return mb_substr(trim("$otherwise ".($first === '' ? (string) $number : $first)), 0, 200);
        }

        return mb_substr(trim(self::worded($this->title, $values)), 0, 200);
    }

    /**
     * Replaces the slots in braces by their values.
     *
     * @param  array<string, string>  $values
     */
    public static function worded(string $text, array $values): string
    {
        $lower = array_change_key_case(array_combine(array_map(mb_strtolower(...), array_keys($values)), array_values($values)));

        return (string) preg_replace_callback('/\{([^}]*)\}/', fn (array $slot): string => (string) preg_replace('/\s+/', ' ', $lower[mb_strtolower($slot[1])] ?? $slot[0]), $text);
    }
}
