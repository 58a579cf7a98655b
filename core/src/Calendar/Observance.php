<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

use TallCrow\Artwork\Faults;
use TallCrow\Artwork\Node;
use TallCrow\Artwork\Reading;

/** A day that is publicly known, as observances.json lists it. */
final readonly class Observance
{
    /**
     * @param  list<string>  $countries  ISO 3166-1; none where it is kept widely
     * @param  int  $days  that it lasts
     * @param  string  $ribbon  colour of a customary ribbon (common practice); empty where there is none
     * @param  string  $caution  what to look into before it is used; empty where nothing is usual
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

    /** @return list<string> every country that has a day of its own, by its code */
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
