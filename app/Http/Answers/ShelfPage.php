<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A page of the shelf. */
final readonly class ShelfPage extends Answer
{
    /**
     * @param  list<AssetCard>  $cards
     * @param  list<string>  $genres  of the whole shelf
     * @param  list<string>  $tags  of the whole shelf
     * @param  list<CollectionCard>  $collections
     */
    public function __construct(
        public int $total,
        public int $page,
        public int $pages,
        public array $cards,
        public array $genres,
        public array $tags,
        public array $collections,
    ) {}
}
