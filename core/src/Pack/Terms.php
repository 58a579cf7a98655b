<?php

declare(strict_types=1);

namespace TallCrow\Pack;

/** Under what a font or picture is held, as its package or its seller states it. */
final readonly class Terms
{
    public function __construct(
        public string $licence = '',
        public string $author = '',
        public string $url = '',
    ) {}

    /** @return array{licence: string, author: string, url: string} */
    public function toArray(): array
    {
        return ['licence' => $this->licence, 'author' => $this->author, 'url' => $this->url];
    }
}
