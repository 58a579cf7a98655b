<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** A finding that the seller has looked at and means so, with a word why. */
final readonly class Meant
{
    public const MOST = 60;

    public function __construct(
        /** Of the finding. */
        public string $key,
        public string $why,
    ) {}

    /** @return array{key: string, why: string} */
    public function toArray(): array
    {
        return ['key' => $this->key, 'why' => $this->why];
    }
}
