<?php

declare(strict_types=1);

namespace TallCrow\House;

use TallCrow\Artwork\Reading;
use TallCrow\Measure\PrintArea;

/** A house's pattern for file names: text with placeholders in braces, such as "{title}-{place}-{width}x{height}". */
final readonly class NamePattern
{
    public const USUAL = '{title}-{product}-{place}';

    public const SLOTS = ['title', 'house', 'product', 'place', 'colour', 'width', 'height', 'ppi', 'date'];

    private const MOST = 120;

    private function __construct(public string $pattern) {}

    public static function usual(): self
    {
        return new self(self::USUAL);
    }

    public static function read(Reading $node, string $key): self
    {
        $pattern = $node->text($key, 120, self::USUAL);
        preg_match_all('/\{([^}]*)\}/', $pattern, $slots);
        foreach (array_diff($slots[1], self::SLOTS) as $unknown) {
            $node->fault(sprintf('has the slot {%s}, which is not known; known are {%s}', $unknown, implode('}, {', self::SLOTS)), $key);
        }
        if (! str_contains($pattern, '{title}')) {
            $node->fault('names no {title}, so that all designs would have one name', $key);
        }

        return new self($pattern);
    }

    /**
     * The file name without its extension, in lower-case letters, digits and hyphens, which every house accepts.
     *
     * @param  string  $colour  of the cloth, if the file is for one cloth only
     */
    public function name(string $title, string $house, string $product, string $place, PrintArea $area, \DateTimeImmutable $on, string $colour = ''): string
    {
        $values = ['title' => $title, 'house' => $house, 'product' => $product, 'place' => $place, 'colour' => $colour, 'width' => (string) $area->width, 'height' => (string) $area->height, 'ppi' => (string) round($area->ppi->value), 'date' => $on->format('Y-m-d')];
        $name = (string) preg_replace_callback('/\{(\w+)\}/', fn (array $slot): string => self::plain($values[$slot[1]] ?? ''), $this->pattern);
        // An empty placeholder must not leave two hyphens in a row.
        $name = trim((string) preg_replace('/[-_]{2,}/', '-', self::plain($name)), '-_');

        return $name === '' ? 'design' : substr($name, 0, self::MOST);
    }

    private static function plain(string $text): string
    {
        $ascii = (string) preg_replace('/[^\x20-\x7e]+/', '', (string) iconv('UTF-8', 'ASCII//TRANSLIT//IGNORE', $text));

        return trim((string) preg_replace('/[^a-z0-9_-]+/', '-', strtolower($ascii)), '-');
    }
}
