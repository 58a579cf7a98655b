<?php

declare(strict_types=1);

namespace TallCrow\Pack;

/** A font or picture in a job file, under the name that the sheet uses. */
final readonly class PackedFile
{
    public function __construct(
        public string $name,
        public string $path,
        public Terms $terms,
    ) {}

    /** @return array{name: string, sha256: string, terms: array{licence: string, author: string, url: string}} */
    public function toArray(): array
    {
        return ['name' => $this->name, 'sha256' => (string) hash_file('sha256', $this->path), 'terms' => $this->terms->toArray()];
    }
}
