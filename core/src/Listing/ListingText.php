<?php

declare(strict_types=1);

namespace TallCrow\Listing;

/**
 * The texts of a listing: title, tags and description, checked against limits that the seller states, since marketplaces differ and change
 * theirs. Lengths are in grapheme clusters (UAX #29).
 */
final readonly class ListingText
{
    /** @param  list<string>  $tags */
    public function __construct(
        public string $title,
        public string $description,
        public array $tags,
        public ListingLimits $limits,
    ) {}

    public static function length(string $text): int
    {
        return (int) grapheme_strlen($text);
    }

    /** @return list<string> what a marketplace with these limits would reject, and other mistakes */
    public function faults(): array
    {
        $faults = [];
        $over = function (string $what, int $has, ?int $most, string $of) use (&$faults): void {
            if ($most !== null && $has > $most) {
                $faults[] = sprintf('%s: %d %s, %d at most.', $what, $has, $of, $most);
            }
        };
        if (trim($this->title) === '') {
            $faults[] = 'There is no title yet.';
        }
        $over('Title', self::length($this->title), $this->limits->title, 'characters');
        $over('Description', self::length($this->description), $this->limits->description, 'characters');
        $over('Tags', count($this->tags), $this->limits->tags, 'tags');
        foreach ($this->tags as $i => $tag) {
            $over("Tag \"$tag\"", self::length($tag), $this->limits->tag, 'characters');
            if (in_array(self::plain($tag), array_map(self::plain(...), array_slice($this->tags, 0, $i)), true)) {
                $faults[] = "Tag \"$tag\" is there twice.";
            }
        }

        return $faults;
    }

    private static function plain(string $tag): string
    {
        return mb_strtolower((string) preg_replace('/\s+/u', ' ', trim($tag)));
    }
}
