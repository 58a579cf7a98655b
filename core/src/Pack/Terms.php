<?php

declare(strict_types=1);

namespace TallCrow\Pack;

/** The licence terms of a font or picture, as stated by its package or by the seller. */
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
