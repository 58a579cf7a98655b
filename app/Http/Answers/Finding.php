<?php

declare(strict_types=1);

namespace App\Http\Answers;

use TallCrow\Preflight\Finding as Found;
use TallCrow\Preflight\Verdict;

/** What one check measured. */
final readonly class Finding extends Answer
{
    /**
     * @param  list<Box>  $where
     * @param  list<string>  $layers
     * @param  list<Mend>  $mends
     */
    public function __construct(
        public string $key,
        public string $group,
        public string $word,
        public Verdict $verdict,
        public string $figure,
        public string $limit,
        public string $says,
        public array $where,
        public array $layers,
        public array $mends,
        public string $meant,
    ) {}

    public static function of(Found $finding): self
    {
        return new self(
            $finding->key, $finding->group->value, $finding->word, $finding->verdict, $finding->figure, $finding->limit, $finding->says,
            array_map(Box::of(...), $finding->where), $finding->layers, array_map(Mend::of(...), $finding->mends), $finding->meant,
        );
    }
}
