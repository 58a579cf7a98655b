<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

use TallCrow\Artwork\Faults;
use TallCrow\Artwork\Node;
use TallCrow\Artwork\Reading;

/** A publicly known day, from the list in observances.json. */
final readonly class Observance
{
    /**
     * @param  list<string>  $countries  ISO 3166-1; empty if it is observed in many countries
     * @param  int  $days  duration
     * @param  string  $ribbon  colour of a customary ribbon (common practice); empty if there is none
     * @param  string  $caution  what to check before using it; empty if nothing usually needs checking
     */
    private function __construct(
        public string $slug,
        public string $name,
        public string $kind,
        public DayRule $rule,
        public array $countries,
        public int $days,
        public string $ribbon,
        public string $caution,
    ) {}

    /** @return array<string, self> by slug */
    public static function all(): array
    {
        static $all = null;
        if ($all === null) {
            $faults = new Faults;
            $root = Node::root(json_decode((string) file_get_contents(__DIR__.'/observances.json'), true, 8, JSON_THROW_ON_ERROR), $faults);
            $all = [];
            foreach ($root->items('observances', 200) as $one) {
                $read = self::read($one);
                $all[$read->slug] = $read;
            }
            $faults->settle();
        }

        /** @var array<string, self> */
        return $all;
    }

    /** @return list<string> codes of all countries that have an observance of their own */
    public static function countries(): array
    {
        $all = array_values(array_unique(array_merge(...array_values(array_map(fn (self $one): array => $one->countries, self::all())))));
        sort($all);

        return $all;
    }

    private static function read(Reading $node): self
    {
        $node = $node->knows('slug', 'name', 'kind', 'rule', 'countries', 'days', 'ribbon', 'caution');

        return new self($node->text('slug', 60), $node->text('name', 80), $node->word('kind', ['holiday', 'family', 'season', 'awareness', 'fun']), DayRule::read($node->child('rule')), $node->texts('countries', 30, 2), $node->integer('days', 1, 62, 1), $node->text('ribbon', 40, ''), $node->text('caution', 200, ''));
    }
}
