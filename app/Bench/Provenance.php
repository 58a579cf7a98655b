<?php

declare(strict_types=1);

namespace App\Bench;

/** Whose a piece of the shelf is and under what it is held, with what the shelf calls it. */
final readonly class Provenance
{
    public function __construct(
        public string $licence,
        public string $author = '',
        public string $url = '',
        public string $genre = '',
        /** Nothing leaves the piece its own title. */
        public string $title = '',
    ) {}

    /** @return array<string, string> columns of an asset */
    public function columns(): array
    {
        return ['licence_name' => $this->licence, 'licence_author' => $this->author, 'licence_url' => $this->url, 'genre' => $this->genre]
            + ($this->title === '' ? [] : ['title' => $this->title]);
    }
}
