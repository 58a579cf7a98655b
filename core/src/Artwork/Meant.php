<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

/** A finding that the seller marked as intended, with the reason. */
final readonly class Meant
{
    public const MOST = 60;

    public function __construct(
        /** The finding's key. */
        public string $key,
        public string $why,
    ) {}

    /** @return array{key: string, why: string} */
    public function toArray(): array
    {
        return ['key' => $this->key, 'why' => $this->why];
    }
}
