<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Reading;
use TallCrow\Geometry\Box;

/** What one check measured: the figure, its limit, where it is seen, and what would mend it. */
final readonly class Finding
{
    /** Of places, pieces and mends. */
    private const MOST = 100_000;

    /** Characters of one word of it. */
    private const LONGEST = 100_000;

    /** Inches from the corner of the sheet. */
    private const FURTHEST = 1e6;

    /**
     * @param  list<Box>  $where  inches on the sheet
     * @param  list<string>  $layers  ids of the layers that it is about
     * @param  list<Mend>  $mends
     */
    private function __construct(
        public string $key,
        public Group $group,
        public string $word,
        public Verdict $verdict,
        public string $figure,
        public string $limit,
        public string $says,
        public array $where = [],
        public array $layers = [],
        public array $mends = [],
        /** Why it is meant so, as the seller told; nothing where it is not. */
        public string $meant = '',
    ) {}

    /**
     * @param  string  $key  names the finding among all of one report, such as "vanish:Black"
     * @param  string  $word  what it is called on the gauges
     * @param  string  $figure  what was measured, and $limit what may be
     */
    public static function of(Group $group, string $key, string $word, Verdict $verdict, string $figure, string $limit, string $says): self
    {
        return new self($key, $group, $word, $verdict, $figure, $limit, $says);
    }

    /** What toArray() gave. */
    public static function read(Reading $node): self
    {
        $text = fn (string $key): string => $node->text($key, self::LONGEST);

        return new self(
            $text('key'), $node->choice('group', Group::class), $text('word'), $node->choice('verdict', Verdict::class), $text('figure'), $text('limit'), $text('says'),
            array_map(self::place(...), $node->items('where', self::MOST)), $node->texts('layers', self::MOST, self::LONGEST), array_map(Mend::read(...), $node->items('mends', self::MOST)), $text('meant'),
        );
    }

    /** @param  array<array-key, Box>  $where */
    public function at(array $where): self
    {
        return $this->with(['where' => array_values($where)]);
    }

    public function about(string ...$layers): self
    {
        return $this->with(['layers' => array_values($layers)]);
    }

    public function mendedBy(Mend ...$mends): self
    {
        return $this->with(['mends' => array_values($mends)]);
    }

    public function meantSo(string $why): self
    {
        return $this->with(['meant' => $why]);
    }

    /** Whether it needs a look. */
    public function counts(): bool
    {
        return $this->verdict !== Verdict::Pass && $this->meant === '';
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'key' => $this->key,
            'group' => $this->group->value,
            'word' => $this->word,
            'verdict' => $this->verdict->value,
            'figure' => $this->figure,
            'limit' => $this->limit,
            'says' => $this->says,
            'where' => array_map(fn (Box $box): array => $box->toArray(), $this->where),
            'layers' => $this->layers,
            'mends' => array_map(fn (Mend $mend): array => $mend->toArray(), $this->mends),
            'meant' => $this->meant,
        ];
    }

    private static function place(Reading $node): Box
    {
        $at = fn (string $key): float => $node->number($key, -self::FURTHEST, self::FURTHEST);

        return new Box($at('left'), $at('top'), $at('left') + $at('width'), $at('top') + $at('height'));
    }

    /** @param  array<string, mixed>  $changes */
    private function with(array $changes): self
    {
        // @phpstan-ignore argument.type (its own properties, but for the changes)
        return new self(...array_merge(get_object_vars($this), $changes));
    }
}
