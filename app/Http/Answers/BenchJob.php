<?php

declare(strict_types=1);

namespace App\Http\Answers;

/** A job on the bench: its sheet, the measurements of every layer, and its place in the history. */
final readonly class BenchJob extends Answer
{
    /**
     * @param  array<string, mixed>  $artwork
     * @param  list<Measure>  $measures  of every layer at any depth
     * @param  list<string>  $chosen  ids of layers that the change made, to be chosen now
     */
    public function __construct(
        public int $id,
        public string $title,
        public int $version,
        public int $revision,
        public bool $canUndo,
        public bool $canRedo,
        public Area $area,
        #[DescribedAs('artwork')]
        public array $artwork,
        public array $measures,
        public array $chosen = [],
    ) {}
}
