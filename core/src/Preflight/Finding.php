<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Geometry\Box;

/** What one check measured: the figure, its limit, where it is seen, and what would mend it. */
final readonly class Finding
{
    /**
     * @param  string  $key  names the finding among all of one report, such as "vanish:Black"
     * @param  list<Box>  $where  inches on the sheet
     * @param  list<string>  $layers  ids of the layers that it is about
     * @param  list<Mend>  $mends
     */
    public function __construct(
        public string $key,
        public string $word,
        public Verdict $verdict,
        public string $figure,
        public string $limit,
        public string $says,
        public array $where = [],
        public array $layers = [],
        public array $mends = [],
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'key' => $this->key,
            'word' => $this->word,
            'verdict' => $this->verdict->value,
            'figure' => $this->figure,
            'limit' => $this->limit,
            'says' => $this->says,
            'where' => array_map(fn (Box $box): array => $box->toArray(), $this->where),
            'layers' => $this->layers,
            'mends' => array_map(fn (Mend $mend): string => $mend->says, $this->mends),
        ];
    }
}
